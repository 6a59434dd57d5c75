package smorgas.app.store;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.zip.CRC32;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import smorgas.core.text.Refusal;

/**
 * What must be in the database, told in a file of its own beside it: each project with its version and the sum of its
 * history, each basket, each word list. A line is added with every act, after the database has it and before the act is
 * acknowledged; at every start the database is compared with it ({@link DataFolder}), so that one that was cut, lost or
 * exchanged is not taken for a younger one and written into. The later of two lines on the same thing holds. Each line
 * ends in its CRC-32; a last line without a right one was being written when the process was killed, and is no promise.
 */
public final class Tally implements AutoCloseable {

    static final String NAME = "smorgas.tally";
    private static final String HEAD = "smorgas tally 1";

    /** Past this the lines that no longer hold are taken out. */
    private static final long MOST_BYTES = 1 << 20;

    private final Path file;
    private final TallyMarks marks;
    private FileChannel out;

    private Tally(Path file, FileChannel out, TallyMarks marks) {
        this.file = file;
        this.out = out;
        this.marks = marks;
    }

    static Path in(Path folder) {
        return folder.resolve(NAME);
    }

    /** Writes the file anew and keeps it open for what is to come. */
    static Tally begin(Path folder, TallyMarks marks) throws IOException {
        Path file = in(folder);
        write(file, marks);
        return new Tally(file, append(file), marks);
    }

    private static FileChannel append(Path file) throws IOException {
        return FileChannel.open(file, StandardOpenOption.WRITE, StandardOpenOption.APPEND);
    }

    /** Writes the file whole, in one move: there is no moment without it. */
    static void write(Path file, TallyMarks marks) throws IOException {
        StringBuilder text = new StringBuilder(line(HEAD));
        marks.lines().forEach(line -> text.append(line(line)));
        Path fresh = file.resolveSibling(file.getFileName() + ".new");
        OwnerOnly.create(fresh);
        try (FileChannel to = FileChannel.open(fresh, StandardOpenOption.WRITE, StandardOpenOption.TRUNCATE_EXISTING)) {
            writeFully(to, text.toString());
            to.force(true);
        }
        Files.move(fresh, file, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.ATOMIC_MOVE);
    }

    /**
     * Reads the file.
     *
     * @throws Refusal if a line other than the last is not as it was written
     */
    static TallyMarks read(Path folder) throws IOException {
        List<String> lines = new String(Files.readAllBytes(in(folder)), StandardCharsets.UTF_8)
                .lines()
                .toList();
        List<String> right = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            String line = lines.get(i);
            int end = line.lastIndexOf(" #");
            String told = end < 0 ? "" : line.substring(0, end);
            if (end >= 0 && line(told).strip().equals(line)) {
                right.add(told);
            } else if (i < lines.size() - 1) {
                throw damaged(i + 1);
            }
        }
        if (right.isEmpty() || !right.getFirst().equals(HEAD)) {
            throw damaged(1);
        }
        try {
            return TallyMarks.parse(right.subList(1, right.size()));
        } catch (RuntimeException e) {
            throw damaged(right.size());
        }
    }

    private static Refusal damaged(int line) {
        return new Refusal("store.tally.damaged", line, NAME);
    }

    private static String line(String told) {
        CRC32 sum = new CRC32();
        sum.update(told.getBytes(StandardCharsets.UTF_8));
        return told + " #" + String.format(Locale.ROOT, "%08x", sum.getValue()) + "\n";
    }

    /** Adds these once the transaction is through; without one, now. */
    void tell(TallyMarks.Mark... fresh) {
        if (!TransactionSynchronizationManager.isSynchronizationActive()) {
            add(fresh);
            return;
        }
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                add(fresh);
            }
        });
    }

    /** The mark of a project as it was told last. */
    synchronized TallyMarks.OfProject project(long id) {
        return marks.project(id);
    }

    /**
     * Adds what a transaction has just brought.
     *
     * @throws UncheckedIOException if it could not be written: what it was about is stored, but must not be acknowledged
     */
    private synchronized void add(TallyMarks.Mark... fresh) {
        try {
            StringBuilder text = new StringBuilder();
            for (TallyMarks.Mark mark : fresh) {
                marks.put(mark);
                text.append(line(mark.line()));
            }
            if (!out.isOpen()) {
                out = append(file);
            }
            writeFully(out, text.toString());
            if (out.size() > MOST_BYTES) {
                rewrite();
            }
        } catch (IOException e) {
            throw new UncheckedIOException("what must be in the database could not be told in " + file, e);
        }
    }

    /** Takes these projects, which were really deleted, out. */
    synchronized void without(List<Long> projects) {
        marks.remove(projects);
        try {
            rewrite();
        } catch (IOException e) {
            throw new UncheckedIOException("what must be in the database could not be told in " + file, e);
        }
    }

    private void rewrite() throws IOException {
        out.close();
        write(file, marks);
        out = append(file);
    }

    private static void writeFully(FileChannel to, String text) throws IOException {
        ByteBuffer bytes = ByteBuffer.wrap(text.getBytes(StandardCharsets.UTF_8));
        while (bytes.hasRemaining()) {
            to.write(bytes);
        }
    }

    @Override
    public synchronized void close() throws IOException {
        // Whoever worked with the database has closed it before.
        Path database = file.resolveSibling(DataFolder.DATABASE);
        if (Files.exists(database)) {
            writeFully(out, line(new TallyMarks.Closed(Files.size(database)).line()));
        }
        out.force(true);
        out.close();
    }
}
