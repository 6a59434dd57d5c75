package smorgas.app.web.compare;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Locale;
import smorgas.app.work.GatheredBasket;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.gather.Lines;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.sift.Status;
import smorgas.core.text.Message;

/**
 * One of two sets that are compared, as it stands in a form: {@code basket:} and its number, {@code group:} and its theme,
 * {@code status:} and its name, {@code plan}, or {@code pasted}.
 *
 * @param label what a page calls it
 */
record Side(String value, Message label) {

    static final String PASTED = "pasted";

    private static final String PLAN = "plan";
    private static final String BASKET = "basket:";
    private static final String GROUP = "group:";
    private static final String STATUS = "status:";

    /** Groups offered, the most searched. */
    private static final int GROUPS = 200;

    /** Everything that can be a side. */
    static List<Side> all(Snapshot snapshot) {
        List<Side> sides = new ArrayList<>();
        for (GatheredBasket basket : snapshot.baskets()) {
            sides.add(new Side(BASKET + basket.id(), Message.of("compare.side.basket", basket.name())));
        }
        for (Status status : Status.values()) {
            sides.add(new Side(STATUS + status.name(), Message.of("compare.side.all-that-are", status.label())));
        }
        sides.add(new Side(PLAN, Message.of("compare.side.plan")));
        sides.add(new Side(PASTED, Message.of("compare.side.pasted")));
        int[] order = snapshot.board().groups().order();
        for (int i = 0; i < Math.min(GROUPS, order.length); i++) {
            Groups groups = snapshot.board().groups();
            sides.add(new Side(
                    GROUP + groups.grouping().key(order[i]), Message.of("compare.side.group", groups.name(order[i]))));
        }
        return sides;
    }

    /** The texts of a side: a basket's as they stand in its lines, else lead spellings; none if there is no such side. */
    static List<String> texts(String value, Snapshot snapshot, String pasted) {
        Board board = snapshot.board();
        if (value.equals(PASTED)) {
            return pasted.lines()
                    .map(String::strip)
                    .filter(line -> !line.isEmpty())
                    .toList();
        }
        if (value.equals(PLAN)) {
            return board.plan().rows().map(row -> row.keyword()).distinct().toList();
        }
        if (value.startsWith(BASKET)) {
            return snapshot.baskets().stream()
                    .filter(basket -> value.equals(BASKET + basket.id()))
                    .findFirst()
                    .map(basket -> lines(basket.lines()))
                    .orElse(List.of());
        }
        if (value.startsWith(STATUS)) {
            for (Status status : Status.values()) {
                if (value.substring(STATUS.length()).toUpperCase(Locale.ROOT).equals(status.name())) {
                    return keywords(board, board.statuses().with(status));
                }
            }
        }
        int group = value.startsWith(GROUP) ? board.groups().find(value.substring(GROUP.length())) : -1;
        if (group < 0) {
            return List.of();
        }
        BitSet members = new BitSet();
        for (int keyword : board.groups().grouping().members().row(group)) {
            members.set(keyword);
        }
        return keywords(board, members);
    }

    private static List<String> lines(Lines lines) {
        List<String> texts = new ArrayList<>(lines.size());
        for (int row = 0; row < lines.size(); row++) {
            texts.add(lines.text(row));
        }
        return texts;
    }

    private static List<String> keywords(Board board, BitSet keywords) {
        return keywords.stream().mapToObj(board.keywords()::text).toList();
    }
}
