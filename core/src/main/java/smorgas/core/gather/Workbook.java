package smorgas.core.gather;

import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Optional;
import smorgas.core.gather.Reading.Format;

/** The sheets of a workbook. Before it is opened it is unpacked once into nothing, to see that it stays within bounds. */
interface Workbook extends AutoCloseable {

    /** Bytes that the parts of a workbook may have together. */
    long MOST_BYTES = 768L << 20;

    /** Told in words that end up as a problem. */
    final class Unreadable extends Exception {
        private static final long serialVersionUID = 1;

        private final String what;
        private final String todo;

        Unreadable(String what, String todo) {
            super(what, null, false, false);
            this.what = what;
            this.todo = todo;
        }

        static Unreadable damaged() {
            return new Unreadable(
                    "The workbook is damaged", "Open it in a spreadsheet program and save it anew, or as CSV.");
        }

        String what() {
            return what;
        }

        String todo() {
            return todo;
        }
    }

    Format format();

    /** The names of its sheets, in order. */
    List<String> sheets();

    /** The first sheet with anything in it; the first if there is none. */
    String firstFilled();

    RowSource rows(String sheet);

    @Override
    void close();

    /** The workbook in a ZIP file; empty if it is another ZIP file. */
    static Optional<Workbook> open(byte[] bytes, Problems problems) throws Unreadable {
        Format format = format(bytes);
        return switch (format) {
            case XLSX -> Optional.of(new XlsxWorkbook(bytes, problems));
            case ODS -> Optional.of(new OdsWorkbook(bytes, problems));
            default -> Optional.empty();
        };
    }

    private static Format format(byte[] bytes) throws Unreadable {
        long total = 0;
        byte[] buffer = new byte[1 << 16];
        Format found = Format.NONE;
        try (ZipParts zip = new ZipParts(bytes)) {
            for (String part : zip.names()) {
                if (part.startsWith("xl/")) {
                    found = Format.XLSX;
                } else if (part.equals("content.xml")) {
                    found = Format.ODS;
                }
                try (InputStream in = zip.open(part)) {
                    for (int read = in.read(buffer); read >= 0; read = in.read(buffer)) {
                        total += read;
                        if (total > MOST_BYTES) {
                            throw new Unreadable(
                                    "The workbook holds more than " + (MOST_BYTES >> 20) + " MB when it is unpacked",
                                    "Save its sheets as CSV and gather those.");
                        }
                    }
                }
            }
        } catch (IOException | IllegalArgumentException e) {
            throw Unreadable.damaged();
        }
        return found;
    }
}
