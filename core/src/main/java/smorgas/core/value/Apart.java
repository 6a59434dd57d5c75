package smorgas.core.value;

import it.unimi.dsi.fastutil.ints.Int2ObjectOpenHashMap;
import it.unimi.dsi.fastutil.ints.IntArrayList;
import it.unimi.dsi.fastutil.ints.IntArrays;
import it.unimi.dsi.fastutil.ints.IntOpenHashSet;
import it.unimi.dsi.fastutil.longs.Long2ObjectOpenHashMap;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.List;
import java.util.PriorityQueue;
import java.util.Set;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import smorgas.core.column.Cores;
import smorgas.core.column.RaggedInts;
import smorgas.core.recipe.serve.MatchType;

/**
 * Negatives that keep groups apart: a search that is a keyword of one group would also trigger a keyword of another that
 * its words hold, in phrase or in broad match; a negative there steers it to its own. One word is looked for that no
 * keyword of the other group has, the one that steers most; where there is none, the search itself in exact match. Common
 * practice; greedy covering, as textbooks have it for set cover.
 */
public final class Apart {

    private static final int FEW_GROUPS = 16;

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
    private final int longest;
    private final RaggedInts rows;
    private final int[][] members;
    private final double[] weights;
    private final boolean[] little;
    /** By their words in their order. */
    private final ByWords phrases;
    /** By their words rising, each once. */
    private final ByWords sets;

    private final IntArrayList[] groupsOf;

    private Apart(
            SearchWords words, int[][] members, Collection<String> little, IntToDoubleFunction weight, int longest) {
        this.longest = longest;
        this.words = words;
        this.rows = words.rows();
        this.members = members;
        this.weights = new double[rows.size()];
        this.little = new boolean[words.count()];
        for (int word = 0; word < this.little.length; word++) {
            this.little[word] = little.contains(words.text(word));
        }
        this.groupsOf = new IntArrayList[rows.size()];
        this.phrases = new ByWords(rows.size());
        this.sets = new ByWords(rows.size());
        for (int group = 0; group < members.length; group++) {
            for (int keyword : members[group]) {
                if (groupsOf[keyword] == null) {
                    groupsOf[keyword] = new IntArrayList(1);
                }
                groupsOf[keyword].add(group);
                weights[keyword] = weight.applyAsDouble(keyword);
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
     * @param longest of searches with more words no sets are looked up, of which there are too many; runs of their words are all the same
     */
    public static List<Steer> of(
            SearchWords words,
            int[][] members,
            Set<MatchType> types,
            Collection<String> little,
            IntToDoubleFunction weight,
            int longest) {
        boolean broad = types.contains(MatchType.BROAD);
        if (!broad && !types.contains(MatchType.PHRASE)) {
            return List.of();
        }
        return new Apart(words, members, little, weight, longest).steered(broad);
    }

    private List<Steer> steered(boolean broad) {
        for (int keyword = 0; keyword < groupsOf.length; keyword++) {
            if (groupsOf[keyword] != null) {
                int[] row = rows.row(keyword);
                phrases.put(keyword, row);
                if (broad) {
                    sets.put(keyword, set(row));
                }
            }
        }
        IntArrayList[] triggered = new IntArrayList[members.length];
        IntOpenHashSet found = new IntOpenHashSet();
        for (int search = 0; search < groupsOf.length; search++) {
            if (groupsOf[search] != null) {
                found.clear();
                triggers(search, broad, found);
                for (int group : found) {
                    if (triggered[group] == null) {
                        triggered[group] = new IntArrayList();
                    }
                    triggered[group].add(search);
                }
            }
        }
        List<List<Steer>> ofGroup = new ArrayList<>(Collections.nCopies(members.length, List.of()));
        Cores.run(members.length, FEW_GROUPS, (from, to) -> {
            for (int group = from; group < to; group++) {
                if (triggered[group] != null) {
                    ofGroup.set(group, cover(group, triggered[group].toIntArray()));
                }
            }
        });
        return ofGroup.stream().flatMap(List::stream).toList();
    }

    private static int[] set(int[] row) {
        return IntStream.of(row).sorted().distinct().toArray();
    }

    /** Keywords by their words. */
    private static final class ByWords {
        private final Long2ObjectOpenHashMap<IntArrayList> byHash = new Long2ObjectOpenHashMap<>();
        private final int[][] words;

        ByWords(int keywords) {
            words = new int[keywords][];
        }

        void put(int keyword, int[] row) {
            byHash.computeIfAbsent(hash(row, 0, row.length), none -> new IntArrayList(1))
                    .add(keyword);
            words[keyword] = row;
        }

        /** Those that may have just these words, and all that have; null for none. */
        @Nullable
        IntArrayList with(int[] row, int from, int to) {
            return byHash.get(hash(row, from, to));
        }

        boolean has(int keyword, int[] row, int from, int to) {
            int[] own = words[keyword];
            return Arrays.equals(own, 0, own.length, row, from, to);
        }

        private static long hash(int[] row, int from, int to) {
            long hash = to - from;
            for (int i = from; i < to; i++) {
                hash = (hash ^ row[i]) * 0x9E3779B97F4A7C15L;
                hash ^= hash >>> 29;
            }
            return hash;
        }
    }

    /** The groups, but its own, that a search would trigger. */
    private void triggers(int search, boolean broad, IntOpenHashSet found) {
        Triggered by = new Triggered(search, found);
        int[] row = phrases.words[search];
        for (int from = 0; from < row.length; from++) {
            for (int to = from + 1; to <= row.length; to++) {
                if (to - from < row.length) {
                    hits(phrases, row, from, to, by);
                }
            }
        }
        if (broad && sets.words[search].length <= longest) {
            int[] distinct = sets.words[search];
            int[] part = new int[distinct.length];
            for (int chosen = 1; chosen < 1 << distinct.length; chosen++) {
                int size = 0;
                for (int i = 0; i < distinct.length; i++) {
                    if ((chosen & 1 << i) != 0) {
                        part[size++] = distinct[i];
                    }
                }
                hits(sets, part, 0, size, by);
            }
        }
    }

    /** The groups of the keywords that have just these words. */
    private void hits(ByWords index, int[] words, int from, int to, Triggered by) {
        IntArrayList keywords = index.with(words, from, to);
        for (int i = 0; keywords != null && i < keywords.size(); i++) {
            int keyword = keywords.getInt(i);
            if (keyword != by.search && index.has(keyword, words, from, to)) {
                for (int group : groupsOf[keyword]) {
                    if (!groupsOf[by.search].contains(group)) {
                        by.groups.add(group);
                    }
                }
            }
        }
    }

    /** The groups that a search would trigger. */
    private record Triggered(int search, IntOpenHashSet groups) {}

    /**
     * Words that none of the group has, those that steer most first; what no word steers is its own negative. What a word
     * would add only falls while others are taken, so one is weighed anew only when it comes first (lazy greedy, as
     * textbooks have it for such functions).
     */
    private List<Steer> cover(int group, int[] searches) {
        IntOpenHashSet own = new IntOpenHashSet();
        for (int keyword : members[group]) {
            rows.forEach(keyword, own::add);
        }
        IntArrays.quickSort(searches, (a, b) -> {
            int byWeight = Double.compare(weights[b], weights[a]);
            return byWeight != 0 ? byWeight : Integer.compare(a, b);
        });
        Int2ObjectOpenHashMap<IntArrayList> having = having(searches, own);
        IntOpenHashSet left = new IntOpenHashSet(searches);
        PriorityQueue<Candidate> candidates = new PriorityQueue<>();
        having.forEach((word, list) -> candidates.add(candidate(word, list, left)));
        List<Steer> steers = new ArrayList<>();
        while (!candidates.isEmpty()) {
            Candidate first = candidates.poll();
            Candidate now = candidate(first.word(), first.searches(), left);
            if (now.weight() < first.weight()) {
                if (now.weight() > 0) {
                    candidates.add(now);
                }
            } else {
                List<Integer> with = now.searches().intStream().boxed().toList();
                with.forEach(search -> left.remove((int) search));
                steers.add(new Steer(group, words.text(first.word()), MatchType.PHRASE, with));
            }
        }
        for (int search : searches) {
            if (left.contains(search)) {
                steers.add(new Steer(group, String.join(" ", words.words(search)), MatchType.EXACT, List.of(search)));
            }
        }
        return steers;
    }

    /** The searches that have each word but these. */
    private Int2ObjectOpenHashMap<IntArrayList> having(int[] searches, IntOpenHashSet own) {
        Int2ObjectOpenHashMap<IntArrayList> having = new Int2ObjectOpenHashMap<>();
        for (int search : searches) {
            rows.forEach(search, word -> {
                if (!own.contains(word) && !little[word]) {
                    IntArrayList list = having.computeIfAbsent(word, none -> new IntArrayList(2));
                    if (list.isEmpty() || list.getInt(list.size() - 1) != search) {
                        list.add(search);
                    }
                }
            });
        }
        return having;
    }

    /** A word with the searches that it would steer and that no other does yet. */
    private record Candidate(int word, String text, IntArrayList searches, double weight)
            implements Comparable<Candidate> {
        /** The heaviest first, of equal ones by the alphabet. */
        @Override
        public int compareTo(Candidate other) {
            int byWeight = Double.compare(other.weight, weight);
            return byWeight != 0 ? byWeight : text.compareTo(other.text);
        }
    }

    private Candidate candidate(int word, IntArrayList searches, IntOpenHashSet left) {
        IntArrayList with = new IntArrayList(searches.size());
        double weight = 0;
        for (int i = 0; i < searches.size(); i++) {
            int search = searches.getInt(i);
            if (left.contains(search)) {
                with.add(search);
                weight += 1 + weights[search];
            }
        }
        return new Candidate(word, words.text(word), with, weight);
    }
}
