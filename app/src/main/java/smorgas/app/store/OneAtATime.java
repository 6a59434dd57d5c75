package smorgas.app.store;

import java.util.Objects;
import java.util.concurrent.locks.ReentrantLock;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionTemplate;

/** What must see all that was stored before it: the next one begins when the transaction of the one before is over. */
@Component
public class OneAtATime {

    private final TransactionTemplate transaction;
    private final ReentrantLock lock = new ReentrantLock();

    OneAtATime(PlatformTransactionManager transactions) {
        this.transaction = new TransactionTemplate(transactions);
    }

    <T> T make(Supplier<T> what) {
        lock.lock();
        try {
            return Objects.requireNonNull(transaction.execute(status -> what.get()));
        } finally {
            lock.unlock();
        }
    }
}
