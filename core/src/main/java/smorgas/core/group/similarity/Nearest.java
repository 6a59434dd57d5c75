package smorgas.core.group.similarity;

import java.util.Arrays;
import java.util.concurrent.CancellationException;
import smorgas.core.column.Cores;
import smorgas.core.recipe.group.SimilarityRules;

/**
 * For each keyword those to which it is most alike. Found by the terms that they have in common, the rarest first; in long
 * lists terms that very many keywords have are looked at only as long as there is not enough to choose from.
 *
 * <p>This file is written for speed: sums by keyword in an array, and the best kept in order while they are met.
 */
final class Nearest {

    /** To look a term up in a keyword costs as much as to go through so many keywords that have it. */
    private static final int LOOKUP = 6;

    /** Of so many times more than are wanted it is worth a look which can be none of them. */
    private static final int MANY = 4;

    /** A look at all that were met costs as much as to go through so many times as many keywords of terms. */
    private static final int SPARED = 3;

    /** How finely it is told what the last of the most alike has. */
    private static final int LEVELS = 512;

    /** Sums of rounded numbers differ by less. */
    private static final float NEARLY = .9999f;

    private final Similarity similarity;
    private final SimilarityRules.Nearest rules;
    private final int size;
    private final boolean everyPair;
    /** How many are kept of each. */
    private final int kept;

    /** How many keywords of terms are gone through for each. */
    private final int steps;

    /** Where the keywords of each term begin, who they are, and what the term weighs in them. */
    private final int[] start;

    private final int[] who;
    private final float[] weight;
    /** What each term weighs most in any keyword. */
    private final float[] heaviest;

    /** Where the terms of each keyword begin, which they are, rising, and what they weigh in it. */
    private final int[] row;

    private final int[] termOf;
    private final float[] weightOf;

    private final int[][] links;

    Nearest(Similarity similarity, int terms) {
        this.similarity = similarity;
        this.rules = similarity.rules().nearest();
        this.size = similarity.size();
        this.everyPair = similarity.rules().care().equals(SimilarityRules.Effort.ALL);
        this.kept = size > similarity.rules().care().longList() ? rules.keptOfLong() : rules.kept();
        this.steps = (int) Math.min(
                Integer.MAX_VALUE,
                Math.max(rules.fewestSteps(), similarity.rules().care().steps() / Math.max(1, size)));
        this.start = new int[terms + 1];
        this.row = new int[size + 1];
        for (int keyword = 0; keyword < size; keyword++) {
            int[] places = similarity.terms(keyword).places();
            row[keyword + 1] = row[keyword] + places.length;
            for (int term : places) {
                start[term + 1]++;
            }
        }
        this.termOf = new int[row[size]];
        this.weightOf = new float[row[size]];
        for (int term = 0; term < terms; term++) {
            start[term + 1] += start[term];
        }
        this.who = new int[start[terms]];
        this.weight = new float[start[terms]];
        this.heaviest = new float[terms];
        int[] next = Arrays.copyOf(start, terms);
        for (int keyword = 0; keyword < size; keyword++) {
            Sparse of = similarity.terms(keyword);
            for (int i = 0; i < of.places().length; i++) {
                int term = of.places()[i];
                int at = next[term]++;
                who[at] = keyword;
                weight[at] = of.values()[i];
                termOf[row[keyword] + i] = term;
                weightOf[row[keyword] + i] = of.values()[i];
                heaviest[term] = Math.max(heaviest[term], of.values()[i]);
            }
        }
        this.links = new int[size][];
        Cores.run(size, Similarity.FEW, this::find);
    }

    int[][] links() {
        return links;
    }

    private void find(int from, int to) {
        Search search = new Search();
        for (int keyword = from; keyword < to; keyword++) {
            if (Thread.currentThread().isInterrupted()) {
                throw new CancellationException("no longer wanted");
            }
            links[keyword] = search.of(keyword);
        }
    }

    /** The search of one thread. */
    private final class Search {
        /** By keyword its place among those met, from 1. */
        private final int[] place = new int[size];

        /** By place what it has in common with the keyword that is asked about. */
        private final float[] words = new float[size];

        private final int[] met = new int[size];
        private final TopRanked best = new TopRanked(kept);
        private final TopRanked byWords = new TopRanked(rules.lookedInto());
        private final int[] tally = new int[LEVELS];
        private int count;

        int[] of(int keyword) {
            count = 0;
            // What all are asked what they mean of nobody is left out before.
            boolean whole = similarity.knowsMeaning() && (size <= rules.shortList() || everyPair);
            meet(keyword, whole ? size : similarity.knowsMeaning() ? rules.lookedInto() : kept);
            boolean few = !similarity.knowsMeaning() || size <= rules.shortList() || everyPair;
            if (few && !similarity.knowsMeaning()) {
                // Without meaning this is what they would be offered with; most are not even as good as the last.
                double least = count > MANY * kept ? least(kept) : 0;
                for (int i = 0; i < count; i++) {
                    if (words[i] >= least) {
                        offer(keyword, met[i], words[i]);
                    }
                }
            } else if (few) {
                for (int i = 0; i < count; i++) {
                    offer(keyword, met[i], words[i]);
                }
            } else {
                if (count > MANY * rules.lookedInto()) {
                    leaveOut(least(rules.lookedInto()));
                }
                for (int i = 0; i < count; i++) {
                    byWords.offer(met[i], words[i]);
                }
                for (int other : byWords.take()) {
                    offer(keyword, other, words[place[other] - 1]);
                }
            }
            for (int i = 0; i < count; i++) {
                place[met[i]] = 0;
            }
            return best.take();
        }

        private void offer(int keyword, int other, double alike) {
            if (other != keyword) {
                double blended = similarity.blended(keyword, other, alike);
                if (blended >= rules.least()) {
                    best.offer(other, blended);
                }
            }
        }

        /**
         * Sums up what those keywords have in common with this one that can be among the most alike. Terms come the rarest
         * first; as soon as the rest of them could bring nobody new so far, only those are followed who still can (the bound of
         * Turtle and Flood, 1995). The sums are the same as over all. Nor comes anybody new after so many steps.
         *
         * @param most how many are wanted
         */
        private void meet(int keyword, int most) {
            Sparse soft = similarity.softened(keyword);
            int[] order = order(soft);
            float[] rest = rest(soft, order);
            boolean closed = false;
            int since = 0;
            int gone = 0;
            // The square of what anybody can have in common at most so far.
            float seen = 0;
            for (int at = 0; at < order.length; at++) {
                int term = soft.places()[order[at]];
                float of = soft.values()[order[at]];
                if (!closed && gone > 0 && gone + length(term) > steps) {
                    closed = true;
                    if (count > rules.followed()) {
                        leaveOut(least(rules.followed()));
                    }
                }
                boolean may = closed || rest[at] * rest[at] < seen;
                seen += of * of;
                if (may && count > most && since + length(term) > SPARED * count) {
                    // Looked at only where it costs less than what was gone through since, or what it can spare.
                    since = 0;
                    closed = closed || beyond(rest[at], most);
                    if (closed) {
                        leaveOut(least(most) * NEARLY - rest[at]);
                    }
                }
                if (!closed) {
                    add(term, of, length(term));
                    gone += length(term);
                    since += length(term);
                } else if (count * LOOKUP < length(term)) {
                    for (int i = 0; i < count; i++) {
                        words[i] += of * at(met[i], term);
                    }
                    since += count * LOOKUP;
                } else {
                    addToThose(term, of);
                    since += length(term);
                }
            }
        }

        /** What a term weighs in a keyword; a row is short, so it is gone through. */
        private float at(int keyword, int term) {
            int end = row[keyword + 1];
            for (int i = row[keyword]; i < end; i++) {
                if (termOf[i] >= term) {
                    return termOf[i] == term ? weightOf[i] : 0;
                }
            }
            return 0;
        }

        /**
         * By place in the order the most that it and those behind can have in common with any keyword: no more than each term
         * at its heaviest, and no more than their length, for no keyword is longer than one (Cauchy and Schwarz).
         */
        private float[] rest(Sparse soft, int[] order) {
            float[] rest = new float[order.length];
            double heavy = 0;
            double square = 0;
            for (int at = order.length - 1; at >= 0; at--) {
                double value = soft.values()[order[at]];
                heavy += value * heaviest[soft.places()[order[at]]];
                square += value * value;
                rest[at] = (float) Math.min(heavy, Math.sqrt(square));
            }
            return rest;
        }

        /** Whether that is less than {@link #least}, some rounding aside; told by a count, which costs half as much. */
        private boolean beyond(float rest, int most) {
            int level = Math.max(0, (int) (rest * LEVELS));
            while (level / (float) LEVELS * NEARLY <= rest) {
                level++;
            }
            if (level >= LEVELS) {
                return false;
            }
            float from = level / (float) LEVELS;
            int more = 0;
            for (int i = 0; i < count; i++) {
                more += words[i] >= from ? 1 : 0;
            }
            return more > most;
        }

        /** At least what the last of the most alike has in common so far, the keyword itself not counted. */
        private float least(int most) {
            Arrays.fill(tally, 0);
            for (int i = 0; i < count; i++) {
                tally[level(words[i])]++;
            }
            // The keyword itself may be among them, so one more is asked.
            int more = 0;
            int at = LEVELS;
            while (at > 0 && more <= most) {
                more += tally[--at];
            }
            return at / (float) LEVELS;
        }

        private static int level(float value) {
            return Math.min(LEVELS - 1, (int) (value * LEVELS));
        }

        /** Keywords that have less in common are not followed any more. */
        private void leaveOut(float least) {
            int kept = 0;
            for (int i = 0; i < count; i++) {
                if (words[i] < least) {
                    place[met[i]] = 0;
                } else {
                    met[kept] = met[i];
                    words[kept] = words[i];
                    place[met[kept++]] = kept;
                }
            }
            count = kept;
        }

        private void add(int term, float of, int most) {
            for (int i = start[term]; i < start[term] + most; i++) {
                int at = place[who[i]];
                if (at == 0) {
                    met[count] = who[i];
                    words[count++] = of * weight[i];
                    place[who[i]] = count;
                } else {
                    words[at - 1] += of * weight[i];
                }
            }
        }

        private void addToThose(int term, float of) {
            for (int i = start[term]; i < start[term + 1]; i++) {
                int at = place[who[i]];
                if (at > 0) {
                    words[at - 1] += of * weight[i];
                }
            }
        }

        private int[] order(Sparse soft) {
            long[] byRarity = new long[soft.places().length];
            for (int i = 0; i < byRarity.length; i++) {
                byRarity[i] = (long) length(soft.places()[i]) << 32 | i;
            }
            Arrays.sort(byRarity);
            int[] order = new int[byRarity.length];
            for (int i = 0; i < order.length; i++) {
                order[i] = (int) byRarity[i];
            }
            return order;
        }

        private int length(int term) {
            return start[term + 1] - start[term];
        }
    }
}
