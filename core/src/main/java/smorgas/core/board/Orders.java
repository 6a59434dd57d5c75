package smorgas.core.board;

import it.unimi.dsi.fastutil.ints.IntArrays;
import it.unimi.dsi.fastutil.ints.IntComparator;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.IntToLongFunction;
import java.util.stream.IntStream;
import smorgas.core.column.FigureColumn;
import smorgas.core.figure.Computed;
import smorgas.core.figure.Fact;
import smorgas.core.figure.Figure;
import smorgas.core.fold.Keywords;

/**
 * The keywords in any order that a table can show; each order is worked out once. What is unknown comes last in both
 * directions, and ties go by searches, then by text. Safe for many threads.
 */
public final class Orders {

    /** One of several things that a table is sorted by; it follows from the keywords alone. */
    public record Level(Fact by, boolean descending) {}

    private final Keywords keywords;
    /** Orders that are kept, those asked for last: there are as many as there are ways to click on heads of columns. */
    private static final int KEPT = 24;

    private final Map<List<Level>, int[]> known = new LinkedHashMap<>(KEPT, .75f, true);
    private final int[] textRank;
    private final int[] fallback;

    Orders(Keywords keywords) {
        this.keywords = keywords;
        int[] byText = all();
        IntArrays.parallelQuickSort(byText, (a, b) -> keywords.text(a).compareTo(keywords.text(b)));
        textRank = new int[byText.length];
        for (int i = 0; i < byText.length; i++) {
            textRank[byText[i]] = i;
        }
        IntToLongFunction searches = value(Figure.SEARCHES);
        int[] bySearches = all();
        IntArrays.parallelQuickSort(
                bySearches, comparing(searches, true, (a, b) -> Integer.compare(textRank[a], textRank[b])));
        fallback = new int[bySearches.length];
        for (int i = 0; i < bySearches.length; i++) {
            fallback[bySearches[i]] = i;
        }
    }

    private int[] all() {
        return IntStream.range(0, keywords.size()).toArray();
    }

    /** All keywords in this order. The array is shared: do not change it. */
    public int[] by(Fact by, boolean descending) {
        return by(List.of(new Level(by, descending)));
    }

    /** All keywords by the first of these, those equal in it by the second, and so on. The array is shared: do not change it. */
    public int[] by(List<Level> levels) {
        List<Level> key = List.copyOf(levels);
        synchronized (known) {
            int[] order = known.get(key);
            if (order != null) {
                return order;
            }
        }
        // Not while holding the lock: several are worked out side by side.
        int[] order = all();
        IntArrays.parallelQuickSort(order, comparing(key, fallback));
        synchronized (known) {
            known.put(key, order);
            if (known.size() > KEPT) {
                known.remove(known.keySet().iterator().next());
            }
        }
        return order;
    }

    /** Some keywords, most searched first. */
    public int[] mostSearched(int[] some) {
        BitSet among = new BitSet(textRank.length);
        IntStream.of(some).forEach(among::set);
        return IntStream.of(by(Figure.SEARCHES, true)).filter(among::get).toArray();
    }

    /** Sorts some keywords by these; those equal in all of them stay as they are. */
    public void sortStably(int[] keywords, List<Level> levels) {
        int[] equal = new int[textRank.length];
        IntArrays.mergeSort(keywords, comparing(levels, equal));
    }

    /**
     * Keywords in the order of a rank; those of one rank stay as they are, those whose rank is negative come last in both
     * directions.
     *
     * @param rankOf the rank of every keyword of the project
     */
    public static int[] byRank(int[] keywords, int[] rankOf, boolean descending) {
        int ranks = IntStream.of(keywords).map(keyword -> rankOf[keyword]).max().orElse(-1) + 1;
        int[] places = new int[ranks + 2];
        for (int keyword : keywords) {
            places[place(rankOf[keyword], ranks, descending) + 1]++;
        }
        for (int place = 0; place <= ranks; place++) {
            places[place + 1] += places[place];
        }
        int[] ordered = new int[keywords.length];
        for (int keyword : keywords) {
            ordered[places[place(rankOf[keyword], ranks, descending)]++] = keyword;
        }
        return ordered;
    }

    private static int place(int rank, int ranks, boolean descending) {
        return rank < 0 ? ranks : descending ? ranks - 1 - rank : rank;
    }

    private IntComparator comparing(List<Level> levels, int[] then) {
        IntComparator comparator = (a, b) -> Integer.compare(then[a], then[b]);
        for (Level level : levels.reversed()) {
            comparator = comparing(value(level.by()), level.descending(), comparator);
        }
        return comparator;
    }

    private static IntComparator comparing(IntToLongFunction value, boolean descending, IntComparator then) {
        return (a, b) -> {
            long left = value.applyAsLong(a);
            long right = value.applyAsLong(b);
            if (left != right) {
                if (left == FigureColumn.UNKNOWN) {
                    return 1;
                }
                if (right == FigureColumn.UNKNOWN) {
                    return -1;
                }
                return descending ? Long.compare(right, left) : Long.compare(left, right);
            }
            return then.compare(a, b);
        };
    }

    private IntToLongFunction value(Fact by) {
        return by == Computed.KEYWORD ? keyword -> textRank[keyword] : keywords.numbers(by)::twiceMiddle;
    }
}
