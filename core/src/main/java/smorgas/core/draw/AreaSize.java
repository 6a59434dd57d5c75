package smorgas.core.draw;

import java.util.function.IntToDoubleFunction;
import smorgas.core.group.read.Groups;

/**
 * What areas of the map are as large as.
 *
 * @param group of a group by its number, at least 0
 * @param node of a theme by its number in the tree, with all that is in it
 * @param ungrouped of all ungrouped keywords together
 */
public record AreaSize(IntToDoubleFunction group, IntToDoubleFunction node, double ungrouped) {

    /** As what is searched a month. */
    public static AreaSize bySearches(Groups groups) {
        return new AreaSize(
                group -> groups.searches(group).sum(),
                node -> groups.tree().node(node).searches().sum(),
                groups.ungroupedSearches().sum());
    }

    /** As the number of keywords. */
    public static AreaSize byKeywords(Groups groups) {
        return new AreaSize(
                groups::keywords,
                node -> groups.tree().node(node).keywords(),
                groups.grouping().ungrouped());
    }
}
