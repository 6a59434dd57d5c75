package smorgas.app.work;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import smorgas.core.board.Board;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupPin;
import smorgas.core.recipe.sift.Standing;

/** Tells in figures what an act did. */
final class Effects {

    private Effects() {}

    /** Keywords of which groups are looked through for what an act did beside what it says. */
    private static final int MOST_TOLD = 200_000;

    /** Keywords named; the others are counted. */
    private static final int NAMED = 3;

    /** What an act on groups did beside what it says; of very many keywords it is not waited for. */
    static String moved(Entry entry, Board before, Board after) {
        boolean told = entry instanceof GroupPin
                && before.groupsKnown()
                && after.keywords().size() <= MOST_TOLD;
        if (!told || before.keywords() != after.keywords()) {
            return "";
        }
        Set<String> named =
                switch (entry) {
                    case GroupPin.KeywordsPlaced pin -> Set.copyOf(pin.texts());
                    case GroupPin.Membership pin
                    when pin.held() == GroupPin.Held.BARRED || pin.held() == GroupPin.Held.ALLOWED ->
                        Set.copyOf(pin.texts());
                    default -> Set.of();
                };
        return moved(before, after, named);
    }

    /**
     * What an act on groups did to keywords that it did not name: those that are in another group than before, in a sentence
     * with a space before it; empty if there are none.
     */
    private static String moved(Board before, Board after, Set<String> named) {
        Groups old = before.groups();
        Groups now = after.groups();
        List<String> moved = new ArrayList<>();
        for (int keyword = 0; keyword < after.keywords().size(); keyword++) {
            boolean same = place(old, keyword).equals(place(now, keyword));
            if (!same && !named.contains(after.keywords().text(keyword))) {
                moved.add(after.keywords().text(keyword));
            }
        }
        if (moved.isEmpty()) {
            return "";
        }
        String more = moved.size() > NAMED ? String.format(Locale.ENGLISH, " and %,d more", moved.size() - NAMED) : "";
        return String.format(
                Locale.ENGLISH,
                " %,d %s changed groups: %s%s.",
                moved.size(),
                (named.isEmpty() ? "" : "other ") + (moved.size() == 1 ? "keyword" : "keywords"),
                String.join(", ", moved.subList(0, Math.min(NAMED, moved.size()))),
                more);
    }

    private static String place(Groups groups, int keyword) {
        int group = groups.grouping().groupOf(keyword);
        return group < 0 ? String.valueOf(group) : groups.grouping().key(group);
    }

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
