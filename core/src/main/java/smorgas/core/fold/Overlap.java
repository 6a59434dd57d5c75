package smorgas.core.fold;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import smorgas.core.column.FigureColumn;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Searched;
import smorgas.core.recipe.gather.BasketInfo;

/** What each basket adds to a project, and which baskets share how many keywords. Baskets are named by their place. */
public final class Overlap {

    /**
     * What a basket adds.
     *
     * @param lines its lines in use
     * @param keywords keywords it has a line of
     * @param alone keywords that no other basket has
     * @param searches known searches a month of its keywords, ranges by their middle
     * @param searched of how many of its keywords they are known
     */
    public record Added(int lines, int keywords, int alone, Searched searches, int searched) {
        /** Of a basket that takes no part in what is looked at. */
        public static Added none(int lines) {
            return new Added(lines, 0, 0, Searched.NOTHING, 0);
        }
    }

    /** Keywords that exactly these baskets have. */
    public record Combination(BitSet places, int keywords) {
        public Combination {
            places = (BitSet) places.clone();
        }

        @Override
        public BitSet places() {
            return (BitSet) places.clone();
        }
    }

    private final List<Added> added = new ArrayList<>();
    private final int[][] shared;
    private final List<Combination> combinations = new ArrayList<>();

    /** Counts of one combination while keywords are gone through. */
    private static final class Tally {
        private int keywords;
        private long twiceSearches;
        private int searched;
        private boolean simulated;
    }

    private Overlap(Keywords keywords) {
        int baskets = keywords.baskets().size();
        shared = new int[baskets][baskets];
        int[] alone = new int[baskets];
        long[] twice = new long[baskets];
        int[] searched = new int[baskets];
        BitSet simulated = new BitSet();
        // A basket made of keywords of others takes nothing from what only they have.
        BitSet made = new BitSet();
        for (int place = 0; place < baskets; place++) {
            made.set(place, keywords.baskets().get(place).info().kind() == BasketInfo.Kind.COMPARED);
        }
        // Keywords are many and combinations few: everything else is counted from those.
        tallies(keywords).forEach((places, tally) -> {
            combinations.add(new Combination(places, tally.keywords));
            int[] in = places.stream().toArray();
            BitSet gathered = (BitSet) places.clone();
            gathered.andNot(made);
            for (int a : in) {
                boolean only = gathered.isEmpty() ? in.length == 1 : gathered.cardinality() == 1 && gathered.get(a);
                alone[a] += only ? tally.keywords : 0;
                searched[a] += tally.searched;
                twice[a] += tally.twiceSearches;
                simulated.set(a, simulated.get(a) || tally.simulated);
                for (int b : in) {
                    shared[a][b] += tally.keywords;
                }
            }
        });
        for (int place = 0; place < baskets; place++) {
            added.add(new Added(
                    keywords.baskets().get(place).size(),
                    shared[place][place],
                    alone[place],
                    new Searched(twice[place] / 2, simulated.get(place)),
                    searched[place]));
        }
        combinations.sort(Comparator.comparingInt((Combination c) -> -c.keywords())
                .thenComparing(c -> c.places().toString()));
    }

    private static Map<BitSet, Tally> tallies(Keywords keywords) {
        Map<BitSet, Tally> tallies = new HashMap<>();
        Optional<FigureColumn> searches = keywords.figure(Figure.SEARCHES);
        BitSet places = new BitSet();
        for (int keyword = 0; keyword < keywords.size(); keyword++) {
            places.clear();
            keywords.addBasketPlaces(keyword, places);
            Tally tally = tallies.get(places);
            if (tally == null) {
                tally = new Tally();
                tallies.put((BitSet) places.clone(), tally);
            }
            tally.keywords++;
            if (searches.isPresent() && searches.get().known(keyword)) {
                tally.searched++;
                tally.twiceSearches += searches.get().twiceMiddle(keyword);
                tally.simulated |= searches.get().simulated(keyword);
            }
        }
        return tallies;
    }

    public static Overlap of(Keywords keywords) {
        return new Overlap(keywords);
    }

    /** By place. */
    public List<Added> added() {
        return List.copyOf(added);
    }

    /** Keywords that both have; of a basket with itself all its keywords. */
    public int shared(int place, int other) {
        return shared[place][other];
    }

    /** Every combination that some keyword is in, those with most keywords first. */
    public List<Combination> combinations() {
        return List.copyOf(combinations);
    }
}
