package smorgas.core.board;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import smorgas.core.column.TextColumn;
import smorgas.core.figure.ColumnRole;
import smorgas.core.gather.Lines;
import smorgas.core.group.Grouping;
import smorgas.core.group.read.MovesNeeded;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.group.GroupRule;
import smorgas.core.text.Tidy;

/**
 * The ad groups that a table brings beside its keywords, and what it would mean to make them the groups.
 *
 * @param groups by the names that the table has
 * @param placed keywords of the project that would be in them
 * @param missing keywords of the table that the project has not, or has dropped
 * @param twice keywords that stand in two ad groups; the first counts
 * @param waiting keywords of the project that would be in none
 * @param names by keyword of the project that would be in a group, its name
 */
public record TableGroups(
        List<GroupDecision.GroupsAsTheyAre.Adopted> groups,
        int placed,
        int missing,
        int twice,
        int waiting,
        Map<Integer, String> names) {

    /** Of more groups it would take minutes to find out. */
    private static final int MOST_COMPARED = 1_500;

    public TableGroups {
        groups = List.copyOf(groups);
        names = Map.copyOf(names);
    }

    /** What a basket brings; empty if it tells no ad groups. */
    public static Optional<TableGroups> of(Board board, Lines lines) {
        List<TextColumn> columns = lines.texts(ColumnRole.AD_GROUP);
        if (columns.isEmpty()) {
            return Optional.empty();
        }
        Map<String, List<String>> groups = new LinkedHashMap<>();
        Map<Integer, String> placed = new HashMap<>();
        Set<String> missing = new HashSet<>();
        Set<Integer> twice = new HashSet<>();
        for (int row = 0; row < lines.size(); row++) {
            String group = name(columns.getFirst().text(row));
            Optional<Integer> keyword = board.keywords()
                    .meant(Tidy.of(lines.text(row)))
                    .filter(board.statuses().remaining()::get);
            if (group.isEmpty()) {
                continue;
            }
            if (keyword.isEmpty()) {
                missing.add(Tidy.of(lines.text(row)));
                continue;
            }
            String before = placed.putIfAbsent(keyword.get(), group);
            if (before == null) {
                groups.computeIfAbsent(group, fresh -> new ArrayList<>())
                        .add(Tidy.of(board.keywords().text(keyword.get())));
            } else if (!before.equals(group)) {
                twice.add(keyword.get());
            }
        }
        List<GroupDecision.GroupsAsTheyAre.Adopted> adopted = groups.entrySet().stream()
                .map(entry -> new GroupDecision.GroupsAsTheyAre.Adopted(entry.getKey(), entry.getValue()))
                .toList();
        return adopted.isEmpty()
                ? Optional.empty()
                : Optional.of(new TableGroups(
                        adopted,
                        placed.size(),
                        missing.size(),
                        twice.size(),
                        board.statuses().remaining().cardinality() - placed.size(),
                        placed));
    }

    /**
     * How many of the placed keywords a hand would have to move to come from some groups to these, what is left over standing
     * alone; empty where there are too many groups to tell.
     */
    public OptionalInt moved(Grouping grouping) {
        Map<String, Integer> numbers = new HashMap<>();
        int[] keywords =
                names.keySet().stream().mapToInt(Integer::intValue).sorted().toArray();
        int[] wanted = Arrays.stream(keywords)
                .map(keyword -> numbers.computeIfAbsent(names.get(keyword), name -> numbers.size()))
                .toArray();
        int[] found = Arrays.stream(keywords)
                .map(keyword -> grouping.groupOf(keyword) >= 0 ? grouping.groupOf(keyword) : -1 - keyword)
                .toArray();
        long groups = Arrays.stream(found).distinct().count();
        return Math.max(groups, numbers.size()) > MOST_COMPARED
                ? OptionalInt.empty()
                : OptionalInt.of((int) Math.round(MovesNeeded.share(found, wanted) * keywords.length));
    }

    /** Lists write a dash for no group. */
    private static String name(String cell) {
        String name = cell.strip();
        return name.equals("-") || !GroupRule.fits(name) ? "" : name;
    }
}
