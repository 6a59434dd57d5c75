package smorgas.app.batch;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import smorgas.app.store.GivenMemory;
import smorgas.core.figure.Decimals;
import smorgas.core.gather.BasketReader;
import smorgas.core.gather.Halt;
import smorgas.core.gather.Lines;
import smorgas.core.gather.Packed;
import smorgas.core.gather.Problem;
import smorgas.core.gather.RawList;
import smorgas.core.gather.Workbooks;
import smorgas.core.recipe.gather.ReadAs;
import smorgas.core.text.Message;

/** Reads the files of a run, packed ones and every sheet of workbooks too, on all cores. */
final class BatchLists {

    /** Bytes that the lists packed in one file may have together. */
    private static final long MOST_UNPACKED = 2_000_000_000;

    private final Decimals decimals;
    private final long mostUnpacked;

    /** @param decimals how ambiguous numbers are read */
    BatchLists(Decimals decimals, GivenMemory memory) {
        this.decimals = decimals;
        this.mostUnpacked = memory.mostUnpacked(MOST_UNPACKED);
    }

    /** A list; without lines it could not be read. */
    record Read(String name, @Nullable Lines lines, List<Problem> problems) {

        /** How many lines it has, in a few words. */
        Message told() {
            return lines == null
                    ? Message.of("batch.batch-lists.not-read", name)
                    : Message.of("batch.batch-lists.lines", name, lines.size());
        }
    }

    /** All lists of all files, each file's in their order; what cannot be read tells why. */
    List<Read> read(List<Path> in) {
        List<String> names = names(in);
        List<Found> found = new ArrayList<>();
        for (int i = 0; i < in.size(); i++) {
            found.addAll(open(names.get(i), in.get(i)));
        }
        Read[] read = new Read[found.size()];
        IntStream.range(0, read.length).parallel().forEach(i -> read[i] = read(i, found.get(i)));
        return List.of(read);
    }

    /** A list on its way in: its bytes, or why there are none. */
    private record Found(String name, byte @Nullable [] bytes, ReadAs readAs, List<Problem> problems) {}

    /** The list in a file, or the lists that are packed in it. */
    private List<Found> open(String name, Path file) {
        byte[] bytes;
        try {
            bytes = Files.readAllBytes(file);
        } catch (IOException | OutOfMemoryError e) {
            return List.of(new Found(
                    name,
                    null,
                    ReadAs.FOUND,
                    List.of(new Problem(
                            name,
                            0,
                            Message.of("batch.batch-lists.the-file-cannot-be"),
                            Message.of("batch.batch-lists.check-that-it-exists")))));
        }
        Packed.Contents contents;
        try {
            contents = Packed.open(name, bytes, mostUnpacked);
        } catch (OutOfMemoryError e) {
            return List.of(new Found(name, null, ReadAs.FOUND, List.of(tooLarge(name))));
        }
        List<Found> found = new ArrayList<>();
        boolean alone = contents.lists().size() == 1 && contents.problems().isEmpty();
        List<Problem> problems = new ArrayList<>(contents.problems());
        List<Problem> notes = new ArrayList<>();
        for (Packed.NamedBytes list : contents.lists()) {
            String listName = alone ? name : name + "/" + list.name();
            Workbooks.Parts parts = Workbooks.of(new Packed.NamedBytes(listName, list.bytes()), false);
            notes.addAll(parts.problems());
            parts.lists()
                    .forEach(part -> found.add(
                            new Found(part.list().name(), part.list().bytes(), part.readAs(), List.copyOf(notes))));
            notes.clear();
        }
        if (!problems.isEmpty()) {
            found.add(new Found(name, null, ReadAs.FOUND, problems));
        }
        return found;
    }

    private static Problem tooLarge(String name) {
        return new Problem(
                name,
                0,
                Message.of("batch.batch-lists.the-memory-that-java"),
                Message.of("batch.batch-lists.it-was-not-read"));
    }

    private static List<String> names(List<Path> in) {
        Set<String> taken = new HashSet<>();
        List<String> names = new ArrayList<>();
        for (Path path : in) {
            String name = String.valueOf(path.getFileName());
            String free = name;
            for (int n = 2; !taken.add(free); n++) {
                free = name + " (" + n + ")";
            }
            names.add(free);
        }
        return names;
    }

    private Read read(int number, Found found) {
        String name = found.name();
        byte[] bytes = found.bytes();
        if (bytes == null) {
            return new Read(name, null, found.problems());
        }
        BasketReader.Read read;
        try {
            read = BasketReader.lines(
                    number, new RawList(name, bytes, found.readAs(), decimals), Halt.NEVER, (line, cells) -> {});
        } catch (OutOfMemoryError e) {
            return new Read(name, null, List.of(tooLarge(name)));
        }
        return read.lines()
                .map(lines -> new Read(
                        name,
                        lines,
                        Stream.concat(found.problems().stream(), lines.problems().stream())
                                .toList()))
                .orElseGet(() -> new Read(name, null, read.reading().problems()));
    }
}
