package smorgas.app.work;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import smorgas.core.board.Board;
import smorgas.core.recipe.Standing;

/** Tells in figures what an act did. */
final class Effects {

    private Effects() {}

    /** The end of a sentence: which counts changed, and how many keywords are left; always ends with a full stop. */
    static String between(Board before, Board after) {
        List<String> changes = new ArrayList<>();
        change(changes, "Keywords", before.keywords().size(), after.keywords().size());
        for (Standing standing : Standing.values()) {
            change(
                    changes,
                    standing.label(),
                    before.standings().count(standing),
                    after.standings().count(standing));
        }
        return changes.isEmpty() ? "." : ". " + String.join(", ", changes) + ".";
    }

    private static void change(List<String> changes, String what, int before, int after) {
        if (before != after) {
            changes.add(String.format(Locale.ENGLISH, "%s %,d \u2192 %,d", what, before, after));
        }
    }
}
