package smorgas.core.value;

import it.unimi.dsi.fastutil.ints.Int2DoubleOpenHashMap;
import it.unimi.dsi.fastutil.ints.Int2ObjectRBTreeMap;
import it.unimi.dsi.fastutil.ints.IntArrayList;
import it.unimi.dsi.fastutil.ints.IntArrays;
import it.unimi.dsi.fastutil.ints.IntOpenHashSet;
import it.unimi.dsi.fastutil.longs.Long2ObjectOpenHashMap;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import smorgas.core.column.RaggedInts;
import smorgas.core.recipe.MatchType;

/**
 * Negatives that keep groups apart: a search that is a keyword of one group would also trigger a keyword of another that
 * its words hold, in phrase or in broad match; a negative there steers it to its own. One word is looked for that no
 * keyword of the other group has, the one that steers most; where there is none, the search itself in exact match. Common
 * practice; greedy covering, as textbooks have it for set cover.
 */
public final class Apart {

    /** Longer searches than this have too many sets of words to look up; runs of their words are looked up all the same. */
    private static final int MOST_WORDS = 8;

    /**
     * A negative that steers searches.
     *
     * @param from the group that is not to answer them, whose negative it is
     * @param type phrase for a word, exact for a whole search
     * @param searches keywords of other groups that would have triggered it, the heaviest first
     */
    public record Steer(int from, String negative, MatchType type, List<Integer> searches) {
        public Steer {
            searches = List.copyOf(searches);
        }
    }

    private final SearchWords words;
    private final RaggedInts rows;
    private final int[][] members;
    private final IntToDoubleFunction weight;
    private final boolean[] little;
    /** By the words of a keyword, in their order for phrases and rising for sets, the keywords with these. */
    private final Long2ObjectOpenHashMap<IntArrayList> phrases = new Long2ObjectOpenHashMap<>();

    private final Long2ObjectOpenHashMap<IntArrayList> sets = new Long2ObjectOpenHashMap<>();
    private final IntArrayList[] groupsOf;

    private Apart(SearchWords words, int[][] members, Collection<String> little, IntToDoubleFunction weight) {
        this.words = words;
        this.rows = words.rows();
        this.members = members;
        this.weight = weight;
        this.little = new boolean[words.count()];
        for (int word = 0; word < this.little.length; word++) {
            this.little[word] = little.contains(words.text(word));
        }
        this.groupsOf = new IntArrayList[rows.size()];
        for (int group = 0; group < members.length; group++) {
            for (int keyword : members[group]) {
                if (groupsOf[keyword] == null) {
                    groupsOf[keyword] = new IntArrayList(1);
                }
                groupsOf[keyword].add(group);
            }
        }
    }

    /**
     * What keeps groups apart, by group and, within one, what steers most first.
     *
     * @param words of all keywords
     * @param members the keywords of each group; a keyword may be in several
     * @param types the match types that all are bid on in; exact alone triggers nothing else
     * @param little words that say nothing and make no negative
     * @param weight of a search that is steered, such as its searches a month; at least 0
     */
    public static List<Steer> of(
            SearchWords words,
            int[][] members,
            Set<MatchType> types,
            Collection<String> little,
            IntToDoubleFunction weight) {
        boolean broad = types.contains(MatchType.BROAD);
        if (!broad && !types.contains(MatchType.PHRASE)) {
            return List.of();
        }
        return new Apart(words, members, little, weight).steered(broad);
    }

    private List<Steer> steered(boolean broad) {
        for (int keyword = 0; keyword < groupsOf.length; keyword++) {
            if (groupsOf[keyword] != null) {
                int[] row = rows.row(keyword);
                put(phrases, hash(row, 0, row.length), keyword);
                if (broad) {
                    int[] set = set(row);
                    put(sets, hash(set, 0, set.length), keyword);
                }
            }
        }
        Int2ObjectRBTreeMap<IntOpenHashSet> triggered = new Int2ObjectRBTreeMap<>();
        IntOpenHashSet found = new IntOpenHashSet();
        for (int search = 0; search < groupsOf.length; search++) {
            if (groupsOf[search] != null) {
                found.clear();
                triggers(search, broad, found);
                for (int group : found) {
                    triggered
                            .computeIfAbsent(group, none -> new IntOpenHashSet())
                            .add(search);
                }
            }
        }
        List<Steer> steers = new ArrayList<>();
        triggered.forEach((group, searches) -> cover(group, searches.toIntArray(), steers));
        return steers;
    }

    private static int[] set(int[] row) {
        return IntStream.of(row).sorted().distinct().toArray();
    }

    private static void put(Long2ObjectOpenHashMap<IntArrayList> map, long hash, int keyword) {
        map.computeIfAbsent(hash, none -> new IntArrayList(1)).add(keyword);
    }

    private static long hash(int[] row, int from, int to) {
        long hash = to - from;
        for (int i = from; i < to; i++) {
            hash = (hash ^ row[i]) * 0x9E3779B97F4A7C15L;
            hash ^= hash >>> 29;
        }
        return hash;
    }

    /** The groups, but its own, that a search would trigger. */
    private void triggers(int search, boolean broad, IntOpenHashSet found) {
        int[] row = rows.row(search);
        for (int from = 0; from < row.length; from++) {
            for (int to = from + 1; to <= row.length; to++) {
                if (to - from < row.length) {
                    int[] part = Arrays.copyOfRange(row, from, to);
                    hits(phrases, part, search, found);
                }
            }
        }
        int[] distinct = set(row);
        if (broad && distinct.length <= MOST_WORDS) {
            for (int chosen = 1; chosen < 1 << distinct.length; chosen++) {
                int[] part = new int[Integer.bitCount(chosen)];
                int at = 0;
                for (int i = 0; i < distinct.length; i++) {
                    if ((chosen & 1 << i) != 0) {
                        part[at++] = distinct[i];
                    }
                }
                hits(sets, part, search, found);
            }
        }
    }

    private void hits(Long2ObjectOpenHashMap<IntArrayList> map, int[] part, int search, IntOpenHashSet found) {
        IntArrayList keywords = map.get(hash(part, 0, part.length));
        if (keywords == null) {
            return;
        }
        for (int keyword : keywords) {
            int[] row = map == sets ? set(rows.row(keyword)) : rows.row(keyword);
            if (keyword != search && Arrays.equals(row, part)) {
                for (int group : groupsOf[keyword]) {
                    if (!groupsOf[search].contains(group)) {
                        found.add(group);
                    }
                }
            }
        }
    }

    /** Words that none of the group has, those that steer most first; what no word steers is its own negative. */
    private void cover(int group, int[] searches, List<Steer> steers) {
        IntOpenHashSet own = new IntOpenHashSet();
        for (int keyword : members[group]) {
            rows.forEach(keyword, own::add);
        }
        IntArrays.quickSort(searches, (a, b) -> {
            int byWeight = Double.compare(weight.applyAsDouble(b), weight.applyAsDouble(a));
            return byWeight != 0 ? byWeight : Integer.compare(a, b);
        });
        List<Integer> left = new ArrayList<>(IntStream.of(searches).boxed().toList());
        while (!left.isEmpty()) {
            int word = heaviest(left, own);
            if (word < 0) {
                left.forEach(search -> steers.add(
                        new Steer(group, String.join(" ", words.words(search)), MatchType.EXACT, List.of(search))));
                return;
            }
            List<Integer> with =
                    left.stream().filter(search -> has(search, word)).toList();
            left.removeAll(Set.copyOf(with));
            steers.add(new Steer(group, words.text(word), MatchType.PHRASE, with));
        }
    }

    /** Of equal ones the first by the alphabet; -1 if every word of every search is one of the group's, or says nothing. */
    private int heaviest(List<Integer> searches, IntOpenHashSet own) {
        Int2DoubleOpenHashMap weights = new Int2DoubleOpenHashMap();
        for (int search : searches) {
            for (int word : IntStream.of(rows.row(search)).distinct().toArray()) {
                if (!own.contains(word) && !little[word]) {
                    weights.addTo(word, 1 + weight.applyAsDouble(search));
                }
            }
        }
        int best = -1;
        for (int word : weights.keySet()) {
            double difference = best < 0 ? 1 : weights.get(word) - weights.get(best);
            if (difference > 0 || difference == 0 && words.text(word).compareTo(words.text(best)) < 0) {
                best = word;
            }
        }
        return best;
    }

    private boolean has(int search, int word) {
        return IntStream.of(rows.row(search)).anyMatch(one -> one == word);
    }
}
