package smorgas.app.store;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import org.springframework.util.unit.DataSize;
import smorgas.core.text.Message;

/**
 * Whether the disk has room for what is about to be written. A database that cannot write closes itself in the middle of an
 * act; so an act is refused before that, and nothing needs mending when there is room again.
 */
@Component
public class DiskSpace {

    /** Refused for want of room; nothing was written. */
    public static final class None extends RuntimeException {
        private static final long serialVersionUID = 1;

        private final transient Message sentence;

        None(Message sentence) {
            super(sentence.key());
            this.sentence = sentence;
        }

        /** What people are told. */
        public Message sentence() {
            return sentence;
        }

        @Override
        public String getMessage() {
            return sentence.toString();
        }
    }

    /** Bytes that can still be written. */
    @FunctionalInterface
    interface Free {
        long bytes() throws IOException;
    }

    private final Free free;
    private final long least;

    @org.springframework.beans.factory.annotation.Autowired
    DiskSpace(@Value("${smorgas.data}") String data, @Value("${smorgas.least-free}") DataSize least) {
        this(() -> Files.getFileStore(Path.of(data)).getUsableSpace(), least.toBytes());
    }

    DiskSpace(Free free, long least) {
        this.free = free;
        this.least = least;
    }

    /**
     * Checks before so many bytes are written.
     *
     * @throws None with a sentence for the researcher
     */
    void need(long bytes) {
        long there = left();
        if (there - bytes < least) {
            throw new None(Message.of("store.disk-space.full", there / 1_000_000, least / 1_000_000));
        }
    }

    /** Whether there is room for an act. */
    public boolean enough() {
        return left() >= least;
    }

    private long left() {
        try {
            return free.bytes();
        } catch (IOException e) {
            // A file system that does not tell is not a full one.
            return Long.MAX_VALUE;
        }
    }
}
