package smorgas.app.config;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import org.junit.jupiter.api.Test;
import org.springframework.security.crypto.password.PasswordEncoder;

class GuessesTest {

    private final AtomicInteger hashed = new AtomicInteger();
    private final AtomicLong now = new AtomicLong();

    /** Counts how often it is asked, for that is what takes the time. */
    private final PasswordEncoder counting = new PasswordEncoder() {
        @Override
        public String encode(CharSequence password) {
            return "hash of " + password;
        }

        @Override
        public boolean matches(CharSequence password, String hash) {
            hashed.incrementAndGet();
            return hash.equals(encode(password));
        }
    };

    private final Guesses guesses = new Guesses(counting, now::get);

    @Test
    void aRightPasswordIsHashedOnceAndAWrongOneEachTime() {
        for (int i = 0; i < 10; i++) {
            assertThat(guesses.matches("right", "hash of right")).isTrue();
        }
        assertThat(hashed).hasValue(1);
        assertThat(guesses.matches("wrong", "hash of right")).isFalse();
        assertThat(guesses.matches("right", "hash of another"))
                .as("the password was changed")
                .isFalse();
        assertThat(hashed).hasValue(3);
        assertThat(guesses.remembers("right", "hash of right")).isTrue();
        assertThat(guesses.remembers("wrong", "hash of right")).isFalse();
    }

    @Test
    void whoGuessesWaitsTwiceAsLongEachTimeAndOnlyThere() {
        for (int i = 0; i < Guesses.FREE; i++) {
            assertThat(guesses.waits("10.0.0.1")).isZero();
            guesses.missed("10.0.0.1");
        }
        assertThat(guesses.waits("10.0.0.1")).isEqualTo(1);
        guesses.missed("10.0.0.1");
        assertThat(guesses.waits("10.0.0.1")).isEqualTo(2);
        now.addAndGet(Duration.ofSeconds(2).toNanos());
        assertThat(guesses.waits("10.0.0.1")).isZero();
        for (int i = 0; i < 40; i++) {
            guesses.missed("10.0.0.1");
        }
        assertThat(guesses.waits("10.0.0.1")).isEqualTo(Guesses.LONGEST.toSeconds());
        assertThat(guesses.waits("10.0.0.2")).isZero();
    }
}
