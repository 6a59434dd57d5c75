package smorgas.core.gather;

import de.siegmar.fastcsv.reader.CsvParseException;
import de.siegmar.fastcsv.reader.CsvReader;
import de.siegmar.fastcsv.reader.CsvRecord;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import smorgas.core.figure.ColumnRole;
import smorgas.core.figure.Decimals;
import smorgas.core.figure.Figure;
import smorgas.core.figure.FigureReader;
import smorgas.core.text.Message;

/** Finds out how a text is laid out from its first lines: delimiter, header, and what each column holds. */
final class Layout {

    /** Lines of preamble, header and samples that are looked at. */
    static final int SAMPLE_ROWS = 60;

    private static final char[] DELIMITERS = {',', ';', '\t', '|'};

    /** What was perhaps not understood as it was meant, and what can be done. */
    record Doubt(Message what, Message todo) {}

    /**
     * @param headerRow the place of the header among the sample rows; -1 if there is none
     */
    record Columns(int headerRow, List<String> headers, List<ColumnRole> roles) {

        /** What the researcher must be told of how it was understood, each with what to do; by the sample rows. */
        List<Doubt> doubts(List<String[]> sample) {
            List<Doubt> doubts = new ArrayList<>();
            List<String[]> below = sample.subList(Math.min(headerRow + 1, sample.size()), sample.size());
            if (!roles.contains(ColumnRole.KEYWORD)) {
                doubts.add(new Doubt(
                        Message.of("gather.layout.clear-which-column-holds"),
                        Message.of("gather.layout.nothing-counts-until-you")));
            }
            for (int column = 0; column < roles.size(); column++) {
                boolean figures = numeric(below, column) != ColumnRole.OTHER;
                if (roles.get(column) == ColumnRole.OTHER && figures && below.size() > 1) {
                    String name =
                            column < headers.size() && !headers.get(column).isBlank()
                                    ? "\"" + headers.get(column).strip() + "\""
                                    : String.valueOf(column + 1);
                    doubts.add(new Doubt(
                            Message.of("gather.layout.column-holds-figures-understood", name),
                            Message.of("gather.layout.they-kept-lines-choose")));
                }
            }
            return doubts;
        }
    }

    private Layout() {}

    /** The delimiter that cuts most of the sample into rows of one width; {@link Reading#PLAIN} if none does. */
    static char delimiter(String text) {
        String sample = head(text);
        if (prose(sample)) {
            return Reading.PLAIN;
        }
        char best = Reading.PLAIN;
        double bestScore = 0;
        for (char delimiter : DELIMITERS) {
            Map<Integer, Integer> widths = new HashMap<>();
            int rows = 0;
            boolean named = false;
            boolean figures = false;
            for (String[] cells : sampleRows(sample, delimiter)) {
                rows++;
                widths.merge(cells.length, 1, Integer::sum);
                named |= namesKeyword(cells) && cells.length > 1;
                figures |= Arrays.stream(cells).anyMatch(Layout::hasDigitsOnly);
            }
            int commonest = widths.entrySet().stream()
                    .filter(e -> e.getKey() > 1)
                    .mapToInt(Map.Entry::getValue)
                    .max()
                    .orElse(0);
            // Preamble and totals have other widths; a header that names a keyword column outweighs them.
            double share = rows == 0 ? 0 : commonest / (double) rows;
            // One row without figures is a list that stands on one line.
            boolean table = share >= 0.7 && (rows > 1 || figures);
            double score = named ? 1 + share : table ? share : 0;
            if (score > bestScore) {
                bestScore = score;
                best = delimiter;
            }
        }
        return best;
    }

    /** Keywords beside each other, with a space behind each comma, as people write and programs do not. */
    private static boolean prose(String sample) {
        List<String> lines = sample.lines().toList();
        return PlainRows.listed(lines)
                && sample.chars().noneMatch(Character::isDigit)
                && sample.indexOf('"') < 0
                && lines.stream().allMatch(line -> line.split("[,;](?=\\S)", -1).length == 1)
                && lines.stream()
                        .filter(line -> !line.isBlank())
                        .limit(1)
                        .noneMatch(line -> namesKeyword(line.split("[,;]")));
    }

    private static String head(String text) {
        int end = 0;
        for (int line = 0; line < SAMPLE_ROWS && end < text.length(); line++) {
            int next = text.indexOf('\n', end);
            end = next < 0 ? text.length() : next + 1;
        }
        return text.substring(0, Math.min(end, 1 << 18));
    }

    private static List<String[]> sampleRows(String sample, char delimiter) {
        List<String[]> rows = new ArrayList<>();
        try (CsvReader<CsvRecord> reader = DelimitedRows.reader(new DelimitedRows.RestOf(sample, 0), delimiter)) {
            for (CsvRecord record : reader) {
                rows.add(DelimitedRows.cells(record));
            }
        } catch (CsvParseException | java.io.IOException e) {
            return List.of();
        }
        return rows;
    }

    /** What the columns hold, by the first row that names them, else by what is in them. */
    static Columns columns(List<String[]> sample) {
        for (int row = 0; row < sample.size(); row++) {
            String[] cells = sample.get(row);
            // A cell alone could be a title or a keyword such as "query"; only at the very top it is a header.
            if (cells.length > 1 && namesKeyword(cells)) {
                return new Columns(row, List.of(cells), named(cells));
            }
        }
        if (!sample.isEmpty() && namesKeyword(sample.getFirst())) {
            return new Columns(0, List.of(sample.getFirst()), named(sample.getFirst()));
        }
        if (namesByFigures(sample)) {
            return columnsBelow(sample, 0);
        }
        return KeywordGrid.of(sample).orElseGet(() -> new Columns(-1, List.of(), byContent(sample)));
    }

    /** Whether the first row holds words where all others hold numbers: names in a language that we do not know. */
    private static boolean namesByFigures(List<String[]> sample) {
        if (sample.size() < 2 || sample.getFirst().length < 2) {
            return false;
        }
        String[] first = sample.getFirst();
        List<ColumnRole> below = byContent(sample.subList(1, sample.size()));
        for (int column = 0; column < Math.min(first.length, below.size()); column++) {
            boolean words = !first[column].isBlank() && first[column].chars().noneMatch(Character::isDigit);
            if (words && below.get(column).figure().isPresent()) {
                return Arrays.stream(first).noneMatch(Layout::hasDigitsOnly);
            }
        }
        return false;
    }

    /** What the columns hold when it is known which sample row names them; -1 for none. */
    static Columns columnsBelow(List<String[]> sample, int headerRow) {
        if (headerRow < 0) {
            return new Columns(-1, List.of(), byContent(sample));
        }
        List<ColumnRole> roles = named(sample.get(headerRow));
        return new Columns(
                headerRow,
                List.of(sample.get(headerRow)),
                roles.contains(ColumnRole.KEYWORD)
                        ? roles
                        : byContent(sample.subList(Math.min(headerRow + 1, sample.size() - 1), sample.size())));
    }

    private static boolean namesKeyword(String[] cells) {
        return Arrays.stream(cells).anyMatch(c -> ColumnNames.role(c) == ColumnRole.KEYWORD)
                && Arrays.stream(cells).filter(c -> !c.isBlank()).noneMatch(Layout::hasDigitsOnly);
    }

    private static boolean hasDigitsOnly(String cell) {
        return cell.strip().matches("[\\d.,\\s]+");
    }

    private static List<ColumnRole> named(String[] cells) {
        List<ColumnRole> roles = new ArrayList<>();
        for (String cell : cells) {
            ColumnRole role = ColumnNames.role(cell);
            roles.add(roles.contains(role) && !role.repeats() ? ColumnRole.OTHER : role);
        }
        return roles;
    }

    /**
     * Without names: the keyword is the column with most words, searches the first column of whole numbers beside it, a
     * bid the first with decimals or a currency sign.
     */
    private static List<ColumnRole> byContent(List<String[]> sample) {
        int width = sample.stream().mapToInt(c -> c.length).max().orElse(0);
        List<ColumnRole> roles = new ArrayList<>();
        int keyword = 0;
        double mostLetters = -1;
        for (int column = 0; column < width; column++) {
            double letters = letters(sample, column);
            if (letters > mostLetters) {
                mostLetters = letters;
                keyword = column;
            }
        }
        if (width > 1 && numeric(sample, keyword) != ColumnRole.OTHER) {
            // All columns hold numbers; none is taken for keywords unasked.
            keyword = -1;
        }
        for (int column = 0; column < width; column++) {
            ColumnRole role = column == keyword ? ColumnRole.KEYWORD : numeric(sample, column);
            roles.add(roles.contains(role) && !role.repeats() ? ColumnRole.OTHER : role);
        }
        return roles;
    }

    private static double letters(List<String[]> sample, int column) {
        return sample.stream()
                .filter(c -> column < c.length)
                .mapToLong(c -> c[column]
                        .chars()
                        .filter(ch -> Character.isLetter(ch) || ch == ' ')
                        .limit(60)
                        .count())
                .sum();
    }

    private static ColumnRole numeric(List<String[]> sample, int column) {
        FigureReader numbers = new FigureReader(Decimals.POINT);
        int read = 0;
        int fault = 0;
        boolean decimals = false;
        for (String[] cells : sample) {
            String cell = column < cells.length ? cells[column] : "";
            switch (numbers.read(cell, Figure.CPC)) {
                case READ -> {
                    read++;
                    decimals |= numbers.low() % Figure.CPC.scale() != 0
                            || cell.chars().anyMatch(ch -> Character.getType(ch) == Character.CURRENCY_SYMBOL);
                }
                case EMPTY -> {}
                case FAULT -> fault++;
            }
        }
        if (read == 0 || fault * 5 > read) {
            return ColumnRole.OTHER;
        }
        return decimals ? ColumnRole.CPC : ColumnRole.SEARCHES;
    }
}
