package smorgas.core.gather;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import smorgas.core.gather.Reading.Format;
import smorgas.core.text.Message;

/** The sheets of a workbook. Before it is opened it is unpacked once into nothing, to see that it stays within bounds. */
abstract class Workbook implements AutoCloseable {

    /** Bytes that the parts of a workbook may have together. */
    static final long MOST_BYTES = 768L << 20;

    /** Texts that all cells share are held in memory. */
    static final long MOST_SHARED = 64_000_000;

    private final Format format;
    private final List<String> sheets = new ArrayList<>();
    private String firstFilled = "";

    Workbook(Format format) {
        this.format = format;
    }

    /** Told in words that end up as a problem. */
    static final class Unreadable extends Exception {
        private static final long serialVersionUID = 1;

        private final transient Message what;
        private final transient Message todo;

        Unreadable(Message what, Message todo) {
            super(what.key(), null, false, false);
            this.what = what;
            this.todo = todo;
        }

        static Unreadable damaged() {
            return new Unreadable(
                    Message.of("gather.workbook.workbook-damaged"),
                    Message.of("gather.workbook.open-spreadsheet-program-save"));
        }

        Message what() {
            return what;
        }

        Message todo() {
            return todo;
        }
    }

    final Format format() {
        return format;
    }

    /** The names of its sheets, in order. */
    final List<String> sheets() {
        return sheets;
    }

    /** The first sheet with anything in it; the first if there is none. */
    final String firstFilled() {
        return firstFilled.isEmpty() ? sheets.getFirst() : firstFilled;
    }

    /** The next sheet in order. */
    final void sheet(String name) {
        sheets.add(name);
    }

    /** A sheet has something in it. */
    final void filled(String sheet) {
        firstFilled = firstFilled.isEmpty() ? sheet : firstFilled;
    }

    abstract RowSource rows(String sheet);

    @Override
    public abstract void close();

    /** The workbook in a ZIP file; empty if it is another ZIP file. */
    static Optional<Workbook> open(byte[] bytes, Problems problems, Halt halt) throws Unreadable {
        Optional<WorkbookFormat> format = format(bytes, halt);
        return format.isEmpty()
                ? Optional.empty()
                : Optional.of(format.get().opener().open(bytes, problems));
    }

    private static Optional<WorkbookFormat> format(byte[] bytes, Halt halt) throws Unreadable {
        long total = 0;
        byte[] buffer = new byte[1 << 16];
        @Nullable WorkbookFormat found = null;
        try (ZipParts zip = new ZipParts(bytes)) {
            for (String part : zip.names()) {
                found = WorkbookFormat.ALL.stream()
                        .filter(format -> format.mark().test(part))
                        .findFirst()
                        .orElse(found);
                MarkupBounds bounds = new MarkupBounds(part.startsWith("xl/worksheets/"));
                long most = part.equals("xl/sharedStrings.xml") ? MOST_SHARED : MOST_BYTES;
                long ofPart = 0;
                try (InputStream in = zip.open(part)) {
                    for (int read = in.read(buffer); read >= 0; read = in.read(buffer)) {
                        halt.check();
                        bounds.bytes(buffer, read);
                        total += read;
                        ofPart += read;
                        if (total > MOST_BYTES || ofPart > most) {
                            throw new Unreadable(
                                    Message.of(
                                            "gather.workbook.workbook-holds-more-than",
                                            Math.min(most, MOST_BYTES) >> 20),
                                    Message.of("gather.workbook.save-sheets-csv-gather"));
                        }
                    }
                }
            }
        } catch (IOException | IllegalArgumentException e) {
            throw Unreadable.damaged();
        }
        return Optional.ofNullable(found);
    }
}
