package smorgas.app.work;

import java.util.Locale;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;
import smorgas.core.gather.ReadingStopped;

/**
 * How many lines the memory that Java was given can hold with all that is computed from them; more are refused before they
 * are read, for a process that runs out of memory ends.
 */
@Component
public class Memory {

    /**
     * Bytes that a line takes with its keyword, words, groups and the pages over it, at the most demanding moment; measured
     * with {@code bench faults} on a million lines.
     */
    static final long BYTES_A_LINE = 650;

    /** Bytes of the application without any list. */
    static final long BYTES_OF_ALL_ELSE = 150L << 20;

    private final long most;

    @Autowired
    Memory() {
        this(Runtime.getRuntime().maxMemory());
    }

    Memory(long bytes) {
        this.most = Math.max(10_000, (bytes - BYTES_OF_ALL_ELSE) / BYTES_A_LINE);
    }

    /** Lines that fit. */
    long mostLines() {
        return most;
    }

    /** Checks before a list is read that is to come to so many lines of a project. */
    void need(long lines, byte[] list) {
        // Packed, it does not tell how many lines it has; those are counted as they come.
        boolean packed = list.length > 1 && list[0] == 'P' && list[1] == 'K';
        long more = 0;
        for (int i = 0; !packed && i < list.length; i++) {
            more += list[i] == '\n' ? 1 : 0;
        }
        need(lines + more);
    }

    /**
     * Checks that so many lines fit.
     *
     * @throws ReadingStopped with a sentence that says what to set
     */
    void need(long lines) {
        if (lines > most) {
            long wanted = (lines * BYTES_A_LINE + BYTES_OF_ALL_ELSE >> 20) / 256 * 256 + 256;
            throw new ReadingStopped(String.format(
                    Locale.ENGLISH,
                    "With it the project would have %,d lines, and the memory that Smorgas was given is enough for %,d. Start it"
                            + " with more, such as SMORGAS_JAVA_OPTS=-Xmx%dm, or gather less.",
                    lines,
                    most,
                    wanted));
        }
    }
}
