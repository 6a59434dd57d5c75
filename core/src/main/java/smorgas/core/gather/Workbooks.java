package smorgas.core.gather;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import smorgas.core.recipe.gather.ReadAs;
import smorgas.core.text.Message;

/**
 * Finds the lists in a workbook: each of its sheets that looks like one. A sheet with column names is a list; where no sheet
 * has any, so is one with two short cells below each other. The others are told of, each with the reason.
 */
public final class Workbooks {

    /** A list with what is known of how it is to be read. */
    public record Part(Packed.NamedBytes list, ReadAs readAs) {}

    /** The lists of a file, and the sheets that are none. */
    public record Parts(List<Part> lists, List<Problem> problems) {
        public Parts {
            lists = List.copyOf(lists);
            problems = List.copyOf(problems);
        }
    }

    /** Rows of a sheet that are looked at. */
    private static final int LOOKED_AT = 60;

    /** A text of more words is a sentence. */
    private static final int MOST_WORDS = 8;

    private static final class Enough extends RuntimeException {
        private static final long serialVersionUID = 1;

        Enough() {
            super("enough", null, false, false);
        }
    }

    private record Glance(String name, boolean named, boolean list, Message why) {}

    private Workbooks() {}

    /**
     * The lists in a file; itself if it is no workbook, or one with a single sheet.
     *
     * @param joined whether all sheets that are lists become one
     */
    public static Parts of(Packed.NamedBytes file, boolean joined) {
        List<Glance> looks;
        try {
            looks = looks(file.bytes());
        } catch (Workbook.Unreadable | RuntimeException | StackOverflowError e) {
            // Told of where it is read.
            looks = List.of();
        }
        List<String> lists = lists(looks);
        if (looks.size() < 2 || lists.isEmpty()) {
            return new Parts(List.of(new Part(file, ReadAs.FOUND)), List.of());
        }
        List<Problem> problems = new ArrayList<>();
        looks.stream()
                .filter(look -> !lists.contains(look.name()))
                .forEach(look -> problems.add(new Problem(
                        file.name(),
                        0,
                        Message.of("gather.workbooks.the-sheet", look.name(), look.why()),
                        Message.of("gather.workbooks.gathered-choose-under-read"))));
        List<Part> parts = new ArrayList<>();
        if (joined || lists.size() == 1) {
            parts.add(new Part(file, sheet(lists.size() == 1 ? lists.getFirst() : ReadAs.ALL_SHEETS)));
        } else {
            for (String name : lists) {
                parts.add(new Part(new Packed.NamedBytes(file.name() + ", " + name, file.bytes()), sheet(name)));
            }
        }
        return new Parts(parts, problems);
    }

    private static ReadAs sheet(String name) {
        return new ReadAs("", "", name, -1, List.of());
    }

    /** The names of the sheets that are lists, in order. */
    static List<String> lists(Workbook workbook) {
        return lists(looks(workbook));
    }

    private static List<String> lists(List<Glance> looks) {
        boolean named = looks.stream().anyMatch(Glance::named);
        return looks.stream()
                .filter(look -> look.list() && (look.named() || !named))
                .map(Glance::name)
                .toList();
    }

    private static List<Glance> looks(byte[] bytes) throws Workbook.Unreadable {
        if (!Packed.isZip(bytes)) {
            return List.of();
        }
        Optional<Workbook> found = Workbook.open(bytes, new Problems(""), Halt.NEVER);
        if (found.isEmpty()) {
            return List.of();
        }
        try (Workbook workbook = found.get()) {
            return looks(workbook);
        }
    }

    private static List<Glance> looks(Workbook workbook) {
        return workbook.sheets().stream().map(sheet -> look(workbook, sheet)).toList();
    }

    private static Glance look(Workbook workbook, String sheet) {
        List<String[]> rows = new ArrayList<>();
        try {
            workbook.rows(sheet).forEach((line, cells) -> {
                rows.add(cells);
                if (rows.size() == LOOKED_AT) {
                    throw new Enough();
                }
            });
        } catch (Enough e) {
            // These are enough.
        } catch (RuntimeException e) {
            return new Glance(sheet, false, false, Message.of("gather.workbooks.is-damaged"));
        }
        if (rows.isEmpty()) {
            return new Glance(sheet, false, false, Message.of("gather.workbooks.is-empty"));
        }
        Layout.Columns columns = Layout.columns(rows);
        boolean named = columns.headerRow() >= 0 && rows.size() > columns.headerRow() + 1;
        long sentences = rows.stream().filter(row -> words(row) > MOST_WORDS).count();
        boolean list = named || rows.size() > 1 && sentences * 3 < rows.size();
        return new Glance(
                sheet,
                named,
                list,
                named || !list
                        ? Message.of("gather.workbooks.reads-like-note")
                        : Message.of("gather.workbooks.column-names-others"));
    }

    /** The words of a row's longest cell. */
    private static int words(String[] row) {
        int most = 0;
        for (String cell : row) {
            most = Math.max(most, cell.isBlank() ? 0 : cell.strip().split("\\s+").length);
        }
        return most;
    }
}
