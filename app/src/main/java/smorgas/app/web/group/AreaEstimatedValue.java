package smorgas.app.web.group;

import smorgas.core.board.Board;
import smorgas.core.column.Numbers;
import smorgas.core.draw.AreaSize;
import smorgas.core.group.Grouping;
import smorgas.core.group.read.ThemeTree;
import smorgas.core.value.EstimatedValue;

/** Areas of the map that are as large as what their groups may bring. */
final class AreaEstimatedValue {

    private AreaEstimatedValue() {}

    /** Every area by what is in it. */
    static AreaSize of(Board board) {
        double[] estimatedValue = sums(board);
        ThemeTree tree = board.groups().tree();
        double[] ofNode = new double[tree.size()];
        tree.under(-1).forEach(top -> fill(tree, top, estimatedValue, ofNode));
        int ungrouped = estimatedValue.length - 1;
        return new AreaSize(group -> estimatedValue[group], node -> ofNode[node], estimatedValue[ungrouped]);
    }

    private static double fill(ThemeTree tree, int node, double[] estimatedValue, double[] ofNode) {
        int group = tree.node(node).group();
        double sum = group >= 0 ? estimatedValue[group] : 0;
        for (int under : tree.under(node)) {
            sum += fill(tree, under, estimatedValue, ofNode);
        }
        ofNode[node] = sum;
        return sum;
    }

    /** What each group may bring in a month, and behind them what the ungrouped keywords may, in hundredths of the currency. */
    static double[] sums(Board board) {
        Grouping grouping = board.groups().grouping();
        Numbers values = board.estimatedValue().numbers(EstimatedValue.Part.VALUE);
        double[] sums = new double[grouping.size() + 1];
        for (int keyword = 0; keyword < board.keywords().size(); keyword++) {
            int group = grouping.groupOf(keyword);
            if (group != Grouping.OUTSIDE && values.known(keyword)) {
                sums[group == Grouping.UNGROUPED ? grouping.size() : group] += values.twiceMiddle(keyword) / 2.0;
            }
        }
        return sums;
    }
}
