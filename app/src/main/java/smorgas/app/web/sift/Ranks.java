package smorgas.app.web.sift;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import smorgas.app.store.Baskets;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.column.Numbers;
import smorgas.core.figure.Computed;
import smorgas.core.figure.Fact;

/** Ranks of keywords in columns that acts change, or that only the lists know: what the board's orders do not keep. */
final class Ranks {

    /** Cells that are numbers before those that are not, these as a reader of a dictionary has them. */
    private static final Comparator<String> AS_READ = Comparator.comparingDouble(Ranks::number)
            .thenComparing(String.CASE_INSENSITIVE_ORDER)
            .thenComparing(Comparator.naturalOrder());

    private Ranks() {}

    /** Whether there are ranks by what has this name. */
    static boolean knows(String name) {
        return name.startsWith(Column.OTHER)
                || Fact.find(name)
                        .filter(fact -> fact.isFor(Fact.Use.SORT) && fact.since() != Fact.Since.FOLDED)
                        .isPresent();
    }

    /**
     * The rank of every keyword, from 0; -1 where there is nothing to sort by.
     *
     * @param name one that {@link #knows} knows
     * @param found the keywords that are wanted; of the others cells of lists are not read
     */
    static int[] of(String name, Snapshot snapshot, BitSet found, Baskets store) {
        Board board = snapshot.board();
        Optional<Fact> fact = Fact.find(name);
        if (fact.isEmpty()) {
            String header = name.substring(Column.OTHER.length());
            Column column = Column.ofLists(header);
            ListCells cells = ListCells.of(snapshot, found.stream().toArray(), List.of(column), store);
            return byText(board, found, keyword -> cells.texts(keyword, header));
        }
        return switch (fact.get()) {
            case Computed.STATUS -> {
                int[] ranks = new int[board.keywords().size()];
                Arrays.setAll(ranks, keyword -> board.statuses().of(keyword).ordinal());
                yield ranks;
            }
            case Computed.GROUP -> byGroup(board);
            // The best class last of the rising, those of one class by what they score.
            case Computed.PRIORITY ->
                byNumber(board.priority().scores(), board.keywords().size());
            case Fact other ->
                other.number()
                        ? byNumber(
                                board.facts().numbers(other), board.keywords().size())
                        : byText(
                                board,
                                found,
                                keyword -> String.join(", ", board.facts().texts(other, keyword)));
        };
    }

    private static int[] byNumber(Numbers numbers, int keywords) {
        long[] known = IntStream.range(0, keywords)
                .filter(numbers::known)
                .mapToLong(numbers::twiceMiddle)
                .sorted()
                .distinct()
                .toArray();
        return IntStream.range(0, keywords)
                .map(keyword -> numbers.known(keyword) ? Arrays.binarySearch(known, numbers.twiceMiddle(keyword)) : -1)
                .toArray();
    }

    /** Groups by their names; ungrouped keywords have none. */
    private static int[] byGroup(Board board) {
        List<String> names = new ArrayList<>();
        for (int group = 0; group < board.groups().grouping().size(); group++) {
            names.add(board.groups().name(group));
        }
        Map<String, Integer> ranks = ranked(names);
        int[] ofGroup = names.stream().mapToInt(ranks::get).toArray();
        int[] rankOf = new int[board.keywords().size()];
        Arrays.setAll(rankOf, keyword -> {
            int group = board.groups().grouping().groupOf(keyword);
            return group < 0 ? -1 : ofGroup[group];
        });
        return rankOf;
    }

    private static int[] byText(Board board, BitSet found, IntFunction<String> textOf) {
        String[] texts = new String[board.keywords().size()];
        Arrays.fill(texts, "");
        found.stream().forEach(keyword -> texts[keyword] = textOf.apply(keyword));
        Map<String, Integer> ranks = ranked(Arrays.asList(texts));
        return Arrays.stream(texts)
                .mapToInt(text -> text.isEmpty() ? -1 : ranks.get(text))
                .toArray();
    }

    private static Map<String, Integer> ranked(List<String> texts) {
        Map<String, Integer> ranks = new HashMap<>();
        for (String text : texts.stream().distinct().sorted(AS_READ).toList()) {
            ranks.put(text, ranks.size());
        }
        return ranks;
    }

    private static double number(String text) {
        String plain = text.replaceAll("[,%]", "");
        return plain.matches("[+-]?\\d{1,15}(\\.\\d{1,10})?") ? Double.parseDouble(plain) : Double.MAX_VALUE;
    }
}
