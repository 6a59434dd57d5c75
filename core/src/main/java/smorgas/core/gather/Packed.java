package smorgas.core.gather;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.GZIPInputStream;
import smorgas.core.text.Message;

/**
 * Takes lists out of ZIP and gzip files. What is unpacked is bounded, for a small packed file can claim to hold more than
 * any machine has.
 */
public final class Packed {

    /** A list with its name. */
    public record NamedBytes(String name, byte[] bytes) {
        /** Without folders. */
        static NamedBytes of(String path, byte[] bytes) {
            String name = path.substring(Math.max(path.lastIndexOf('/'), path.lastIndexOf('\\')) + 1);
            return new NamedBytes(name.isBlank() ? "list" : name, bytes);
        }
    }

    /** What was in a file: itself if it is not packed. */
    public record Contents(List<NamedBytes> lists, List<Problem> problems) {
        public Contents {
            lists = List.copyOf(lists);
            problems = List.copyOf(problems);
        }
    }

    private static final class TooMuch extends IOException {
        private static final long serialVersionUID = 1;
    }

    /** Packed files within packed files are opened this deep. */
    private static final int DEEPEST = 3;

    private static final int MOST_FILES = 200;

    /** Entries of all packed files within packed files, whatever is in them. */
    private static final int MOST_ENTRIES = 2_000;

    private final long most;
    private final List<NamedBytes> lists = new ArrayList<>();
    private final List<Problem> problems = new ArrayList<>();
    private long unpacked;
    private int entries;

    private Packed(long most) {
        this.most = most;
    }

    /**
     * Opens a file, also files packed in it. Workbooks, which are ZIP files themselves, stay whole.
     *
     * @param most bytes that all of it together may have when unpacked
     */
    public static Contents open(String name, byte[] bytes, long most) {
        Packed packed = new Packed(most);
        try {
            packed.open(name, bytes, 0);
        } catch (TooMuch e) {
            packed.problem(
                    name,
                    Message.of("gather.packed.holds-more-than-mb", most / 1_000_000, MOST_FILES),
                    Message.of("gather.packed.what-came-before-gathered"));
        }
        return new Contents(packed.lists, packed.problems);
    }

    private void problem(String file, Message what, Message todo) {
        problems.add(new Problem(file, 0, what, todo));
    }

    private void open(String name, byte[] bytes, int depth) throws TooMuch {
        if (isGzip(bytes) && depth < DEEPEST) {
            try (InputStream in = new GZIPInputStream(new ByteArrayInputStream(bytes))) {
                open(name.endsWith(".gz") ? name.substring(0, name.length() - 3) : name, inflate(in), depth + 1);
            } catch (TooMuch e) {
                throw e;
            } catch (IOException e) {
                problem(
                        name,
                        Message.of("gather.packed.gzip-file-damaged"),
                        Message.of("gather.packed.nothing-gathered-fetch-again"));
            }
        } else if (isZip(bytes) && depth < DEEPEST && !isWorkbook(bytes)) {
            openZip(name, bytes, depth);
        } else {
            if (lists.size() == MOST_FILES) {
                throw new TooMuch();
            }
            lists.add(NamedBytes.of(name, bytes));
        }
    }

    private void openZip(String name, byte[] bytes, int depth) throws TooMuch {
        int found = 0;
        try (ZipParts zip = new ZipParts(bytes)) {
            for (String part : zip.names()) {
                // Programs put their own files beside the lists.
                boolean hidden = part.startsWith("__MACOSX") || part.contains("/.") || part.startsWith(".");
                if (++entries > MOST_ENTRIES) {
                    throw new TooMuch();
                }
                if (!hidden) {
                    found++;
                    openPart(zip, name, part, depth);
                }
            }
        } catch (TooMuch e) {
            throw e;
        } catch (IOException | RuntimeException e) {
            problem(
                    name,
                    Message.of("gather.packed.zip-file-damaged"),
                    Message.of("gather.packed.what-could-unpacked-gathered"));
            return;
        }
        if (found == 0) {
            problem(name, Message.of("gather.packed.list-zip-file-only"), Message.of("gather.packed.nothing-gathered"));
        }
    }

    /** One file in a ZIP file; a fault of it leaves the others. */
    private void openPart(ZipParts zip, String name, String part, int depth) throws TooMuch {
        String within = name + "/" + part;
        if (zip.locked(part)) {
            problem(
                    within,
                    Message.of("gather.packed.it-has-a-password"),
                    Message.of("gather.packed.unpack-hand-gather-what"));
            return;
        }
        try (InputStream in = zip.open(part)) {
            byte[] bytes = inflate(in);
            if (!zip.right(part, bytes)) {
                problem(
                        within,
                        Message.of("gather.packed.damaged-checksum-right"),
                        Message.of("gather.packed.gathered-fetch-again"));
                return;
            }
            open(part, bytes, depth + 1);
        } catch (TooMuch e) {
            throw e;
        } catch (IOException | RuntimeException e) {
            problem(
                    within,
                    Message.of("gather.packed.it-is-damaged"),
                    Message.of("gather.packed.gathered-fetch-again-unpack"));
        }
    }

    private byte[] inflate(InputStream in) throws IOException {
        // One byte more than it may have tells that there is more; nothing is held beyond that.
        byte[] bytes = in.readNBytes((int) Math.min(Integer.MAX_VALUE - 16, most - unpacked + 1));
        unpacked += bytes.length;
        if (unpacked > most) {
            throw new TooMuch();
        }
        return bytes;
    }

    static boolean isZip(byte[] bytes) {
        return bytes.length > 3 && bytes[0] == 'P' && bytes[1] == 'K' && bytes[2] < 9 && bytes[3] < 9;
    }

    private static boolean isGzip(byte[] bytes) {
        return bytes.length > 2 && (bytes[0] & 0xFF) == 0x1F && (bytes[1] & 0xFF) == 0x8B && bytes[2] == 8;
    }

    /** Whether lists are taken out of it; a workbook stays whole. */
    public static boolean unpacks(byte[] bytes) {
        return isGzip(bytes) || isZip(bytes) && !isWorkbook(bytes);
    }

    private static boolean isWorkbook(byte[] bytes) {
        try (ZipParts zip = new ZipParts(bytes)) {
            return zip.names().stream()
                    .anyMatch(part ->
                            part.equals("[Content_Types].xml") || part.startsWith("xl/") || part.equals("content.xml"));
        } catch (IOException | RuntimeException e) {
            return false;
        }
    }
}
