package smorgas.core.gather;

import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import smorgas.core.figure.ColumnRole;

/**
 * A table whose every column is a list of keywords, such as one for each competitor. Told from a list with a column of
 * categories by what is in the cells: keywords are short, hardly any stands twice, and the columns share words.
 */
final class KeywordGrid {

    private static final int MOST_WORDS = 8;
    private static final int LEAST_CELLS = 12;

    /** The share of cells that are the only one of their text; categories repeat. */
    private static final double DISTINCT = .95;

    /** The share of a column's words that others have too; lists of one trade share more. */
    private static final double SHARED = .15;

    private KeywordGrid() {}

    /** How it is to be read, every column as keywords; empty if it is none. */
    static Optional<Layout.Columns> of(List<String[]> sample) {
        int width = sample.stream().mapToInt(row -> row.length).max().orElse(0);
        boolean named = sample.size() > 3 && names(sample);
        List<String[]> rows = named ? sample.subList(1, sample.size()) : sample;
        if (width < 2 || rows.size() < 2 || !keywords(rows) || !shareWords(rows, width)) {
            return Optional.empty();
        }
        List<String> headers = named ? List.of(sample.getFirst()) : List.of();
        return Optional.of(new Layout.Columns(named ? 0 : -1, headers, Collections.nCopies(width, ColumnRole.KEYWORD)));
    }

    /** Whether the first row is written as names are, with capitals or dots, and the others are not. */
    private static boolean names(List<String[]> sample) {
        boolean first = true;
        for (String cell : sample.getFirst()) {
            first &= cell.isBlank() || nameLike(cell);
        }
        long like = sample.stream()
                .skip(1)
                .flatMap(java.util.Arrays::stream)
                .filter(KeywordGrid::nameLike)
                .count();
        return first && like * 5 < sample.size();
    }

    private static boolean nameLike(String cell) {
        String text = cell.strip();
        return !text.isEmpty() && (Character.isUpperCase(text.charAt(0)) || text.matches("\\S+\\.\\p{L}{2,10}"));
    }

    private static boolean keywords(List<String[]> rows) {
        List<String> cells = new ArrayList<>();
        for (String[] row : rows) {
            for (String cell : row) {
                String text = cell.strip().toLowerCase(Locale.ROOT);
                if (!text.isEmpty()) {
                    cells.add(text);
                }
            }
        }
        boolean plain = cells.stream()
                .allMatch(cell -> cell.codePoints().anyMatch(Character::isLetter)
                        && cell.indexOf('/') < 0
                        && cell.indexOf('@') < 0
                        && cell.length() <= 80
                        && cell.split("\\s+").length <= MOST_WORDS);
        return plain && cells.size() >= LEAST_CELLS && new HashSet<>(cells).size() >= DISTINCT * cells.size();
    }

    /** Whether each column has words that others have. */
    private static boolean shareWords(List<String[]> rows, int width) {
        List<Set<String>> words = new ArrayList<>();
        for (int column = 0; column < width; column++) {
            Set<String> of = new HashSet<>();
            for (String[] row : rows) {
                if (column < row.length && !row[column].isBlank()) {
                    of.addAll(
                            List.of(row[column].strip().toLowerCase(Locale.ROOT).split("\\s+")));
                }
            }
            words.add(of);
        }
        for (int column = 0; column < width; column++) {
            int place = column;
            long shared = words.get(column).stream()
                    .filter(word -> java.util.stream.IntStream.range(0, width)
                            .anyMatch(
                                    other -> other != place && words.get(other).contains(word)))
                    .count();
            if (words.get(column).isEmpty()
                    || shared < SHARED * words.get(column).size()) {
                return false;
            }
        }
        return true;
    }
}
