package smorgas.core.column;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * A text for each of many rows, of which few are distinct: each is held once. Empty where a row has none; texts have no
 * space around them.
 */
public final class TextColumn {

    private final int[] numbers;
    private final String[] texts;

    private TextColumn(int[] numbers, String[] texts) {
        this.numbers = numbers;
        this.texts = texts;
    }

    public int size() {
        return numbers.length;
    }

    /** The text of a row; empty if it has none. */
    public String text(int row) {
        return texts[numbers[row]];
    }

    /** Whether any row has a text. */
    public boolean tells() {
        return texts.length > 1;
    }

    /** The texts that there are, in the order in which they were met, without the empty one. */
    public List<String> texts() {
        return Arrays.asList(texts).subList(1, texts.length);
    }

    /** Grows row by row. */
    public static final class Builder {
        private final Map<String, Integer> known = new HashMap<>(Map.of("", 0));
        private final List<String> texts = new ArrayList<>(List.of(""));
        private int[] numbers = new int[16];
        private int size;

        /** Adds the text of the next row, without the space around it. */
        public void add(String text) {
            if (size == numbers.length) {
                numbers = Arrays.copyOf(numbers, size * 2);
            }
            String stripped = text.strip();
            Integer number = known.get(stripped);
            if (number == null) {
                number = texts.size();
                known.put(stripped, number);
                texts.add(stripped);
            }
            numbers[size++] = number;
        }

        /** Takes the rows from this one on away. */
        public void truncate(int rows) {
            size = Math.min(size, rows);
        }

        public TextColumn seal() {
            return new TextColumn(Arrays.copyOf(numbers, size), texts.toArray(String[]::new));
        }
    }
}
