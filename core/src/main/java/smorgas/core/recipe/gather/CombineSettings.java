package smorgas.core.recipe.gather;

import java.util.List;
import smorgas.core.text.Characters;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/**
 * Columns of words or phrases that are multiplied in their order.
 *
 * @param columns {@value #FEWEST} to {@value #MOST_COLUMNS}
 * @param between what joins the words of two columns, such as a space; may be empty
 * @param before stands before every phrase; may be empty
 * @param behind stands behind every phrase; may be empty
 * @param once whether a word that would stand twice in a phrase stands once
 * @param most phrases that may come out, from 1 to {@value #MOST}
 */
public record CombineSettings(
        List<Column> columns, String between, String before, String behind, boolean once, int most) {

    /** The fewest columns. */
    public static final int FEWEST = 2;

    /** The most columns. */
    public static final int MOST_COLUMNS = 6;

    /** The most phrases that anybody may ask for. */
    public static final int MOST = 1_000_000;

    /** So many may come out unless one says otherwise. */
    public static final int USUAL = 100_000;

    private static final int LONGEST = 100;

    public CombineSettings {
        columns = List.copyOf(columns);
        if (columns.size() < FEWEST || columns.size() > MOST_COLUMNS) {
            throw new Refusal("gather.combine.combine-takes-columns-words", FEWEST, MOST_COLUMNS);
        }
        if (most < 1 || most > MOST) {
            throw new Refusal("gather.combine.most-1-1-000");
        }
        for (String text : List.of(between, before, behind)) {
            if (Characters.count(text) > LONGEST || text.lines().count() > 1) {
                throw new Refusal("gather.combine.what-stands-between-before", LONGEST);
            }
        }
    }

    /**
     * A column.
     *
     * @param words words or phrases, tidy, each once; at least one
     * @param optional whether phrases come without it too
     * @param anywhere whether it can stand in any place among the others
     */
    public record Column(List<String> words, boolean optional, boolean anywhere) {

        /** The most words of a column. */
        public static final int MOST_WORDS = 10_000;

        public Column {
            words = words.stream()
                    .map(Tidy::of)
                    .filter(word -> !word.isEmpty())
                    .distinct()
                    .toList();
            if (words.isEmpty()) {
                throw new Refusal("gather.combine.column-combine-words");
            }
            if (words.size() > MOST_WORDS) {
                throw new Refusal("gather.combine.column-combine-most-10");
            }
        }
    }
}
