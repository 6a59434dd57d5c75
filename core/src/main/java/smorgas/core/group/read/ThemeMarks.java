package smorgas.core.group.read;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import java.util.Optional;
import smorgas.core.group.Grouping;
import smorgas.core.text.Words;

/** Where the words of a theme stand in a text, which may write them otherwise: "beehives" for "bee hive". */
public final class ThemeMarks {

    /** A piece of a text, and whether it is of the theme. */
    public record Mark(String text, boolean theme) {}

    private ThemeMarks() {}

    /** The text in pieces; joined they are the text. A group without a theme gives one piece. */
    static List<Mark> of(Grouping grouping, int group, String text) {
        List<Mark> marks = new ArrayList<>();
        StringBuilder piece = new StringBuilder();
        boolean within = false;
        for (Words.Piece part : Words.pieces(text)) {
            boolean theme = part.word() && isOf(grouping, group, part.text()) > 0;
            if (theme != within && !piece.isEmpty()) {
                marks.add(new Mark(piece.toString(), within));
                piece.setLength(0);
            }
            within = theme;
            piece.append(part.text());
        }
        if (!piece.isEmpty()) {
            marks.add(new Mark(piece.toString(), within));
        }
        return marks;
    }

    /** The theme as the text writes it, each of its words once; empty if it does not have all of them. */
    static Optional<String> written(Grouping grouping, int group, String text) {
        int[] theme = grouping.themeWords(group);
        BitSet found = new BitSet();
        StringBuilder written = new StringBuilder();
        for (String word : Words.of(text)) {
            boolean fresh = false;
            for (int number : grouping.words().ofSurface(word)) {
                for (int p = 0; p < theme.length; p++) {
                    if (theme[p] == number && !found.get(p)) {
                        found.set(p);
                        fresh = true;
                    }
                }
            }
            if (fresh) {
                written.append(written.isEmpty() ? "" : " ").append(word);
            }
        }
        return found.cardinality() == theme.length ? Optional.of(written.toString()) : Optional.empty();
    }

    private static long isOf(Grouping grouping, int group, String word) {
        int[] theme = group < 0 ? new int[0] : grouping.themeWords(group);
        return Arrays.stream(grouping.words().ofSurface(word))
                .filter(number -> Grouping.in(theme, number))
                .count();
    }
}
