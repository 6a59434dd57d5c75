package smorgas.core.group.similarity;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import smorgas.core.column.Cores;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.group.same.IntendedWords;
import smorgas.core.group.same.SameWords;
import smorgas.core.recipe.group.SimilarityRules;

/**
 * How alike keywords are: the cosine of what they are about, terms that are alike by their letters counting as alike in part
 * (the soft cosine measure of Sidorov and others, 2014); blended with what they mean, where that is known; and a part of it
 * replaced by how many of their nearest nearest ones two keywords share. Two sets of keywords are as alike as their members
 * are on the whole, which follows from a sum over each. Cannot change.
 */
final class Similarity {

    /** Of fewer keywords one core is done before a second has begun. */
    static final int FEW = 500;

    /** A set of keywords, summed up. */
    static final class Sum {
        private final Sparse terms;
        private final Sparse softened;
        private final Sparse near;
        private final float @Nullable [] meaning;
        private final int size;

        Sum(Sparse terms, Sparse softened, Sparse near, float @Nullable [] meaning, int size) {
            this.terms = terms;
            this.softened = softened;
            this.near = near;
            this.meaning = meaning;
            this.size = size;
        }

        int size() {
            return size;
        }

        Sum plus(Sum other) {
            float[] sum = null;
            if (meaning != null && other.meaning != null) {
                sum = meaning.clone();
                for (int i = 0; i < sum.length; i++) {
                    sum[i] += other.meaning[i];
                }
            }
            return new Sum(
                    terms.plus(other.terms),
                    softened.plus(other.softened),
                    near.plus(other.near),
                    sum,
                    size + other.size);
        }
    }

    private final Sparse[] terms;
    private final Sparse[] softened;
    private final float @Nullable [][] meanings;
    /** What two texts have in common that have nothing in common. */
    private final double usual;

    private final SimilarityRules rules;
    private final double ofMeaning;
    private final double ofNearest;
    private final Sparse[] near;
    private final int[][] links;
    private final int termCount;

    /**
     * Of some keywords.
     *
     * @param texts their lead spellings, in their order
     */
    Similarity(List<String> texts, Terms of, String language, MeaningVectors vectors, SimilarityRules rules) {
        this.rules = rules;
        this.ofMeaning = rules.blend().meaning();
        this.ofNearest = rules.blend().shared();
        this.termCount = of.size();
        int size = texts.size();
        this.terms = new Sparse[size];
        this.softened = new Sparse[size];
        weigh(of, of.same(), IntendedWords.compounds(language));
        this.meanings = meanings(texts, vectors);
        this.usual = meanings == null ? 0 : usual(meanings, rules.blend());
        Nearest nearest = new Nearest(this, of.size());
        this.links = nearest.links();
        this.near = new Sparse[size];
        int neighbourhood = rules.blend().nearest();
        float share = (float) (1 / Math.sqrt(neighbourhood + 1));
        for (int keyword = 0; keyword < size; keyword++) {
            int[] own = Arrays.copyOf(links[keyword], Math.min(neighbourhood, links[keyword].length) + 1);
            own[own.length - 1] = keyword;
            Arrays.sort(own);
            float[] values = new float[own.length];
            Arrays.fill(values, share);
            near[keyword] = new Sparse(own, values);
        }
    }

    private void weigh(Terms of, SameWords same, boolean compounds) {
        SimilarityRules.Weights by = rules.weights();
        double headed = compounds ? by.headOfCompounds() : by.head();
        int size = terms.length;
        int[] counts = new int[of.size()];
        for (int keyword = 0; keyword < size; keyword++) {
            of.rows().forEach(keyword, term -> counts[term]++);
        }
        double typical = Math.pow(Math.log(1 + by.typical()), by.power());
        double[] weights = new double[of.size()];
        for (int term = 0; term < weights.length; term++) {
            if (term >= of.things()) {
                weights[term] =
                        by.said() * typical * same.meaning(of.meaning(term)).weight();
            } else {
                int count = Math.max(1, counts[term]);
                weights[term] = Math.pow(Math.log(1 + size / (double) count), by.power())
                        * (count == 1 ? by.once() : count == 2 ? by.twice() : 1)
                        * (of.unit(term) ? by.unit() : 1);
            }
        }
        LetterSimilarity letters = new LetterSimilarity(
                of, compounds ? Integer.MAX_VALUE : rules.letters().few(), rules.letters());
        SimilarTerms like = new SimilarTerms(of, same, letters);
        Cores.run(size, FEW, (from, to) -> {
            for (int keyword = from; keyword < to; keyword++) {
                int[] row = of.rows().row(keyword);
                Arrays.sort(row);
                float[] own = new float[row.length];
                for (int i = 0; i < row.length; i++) {
                    own[i] = (float) (weights[row[i]] * (row[i] == of.head(keyword) ? headed : 1));
                }
                Sparse plain = new Sparse(row, own);
                Sparse soft = like.soften(plain);
                double length = Math.sqrt(Math.max(1e-9, plain.dot(soft)));
                terms[keyword] = scaled(plain, length);
                softened[keyword] = scaled(soft, length);
            }
        });
    }

    private static Sparse scaled(Sparse vector, double by) {
        float[] values = new float[vector.values().length];
        for (int i = 0; i < values.length; i++) {
            values[i] = (float) (vector.values()[i] / by);
        }
        return new Sparse(vector.places(), values);
    }

    /** The vectors of all texts; null unless each is known, for words and meaning do not compare. */
    private static float @Nullable [][] meanings(List<String> texts, MeaningVectors vectors) {
        float[][] found = new float[texts.size()][];
        for (int i = 0; i < found.length; i++) {
            float[] vector = vectors.of(texts.get(i));
            if (vector == null) {
                return null;
            }
            found[i] = vector;
        }
        return found.length == 0 ? null : found;
    }

    /** The median of what pairs have in common, by a sample that is always the same. */
    static double usual(float[][] meanings, SimilarityRules.Blend rules) {
        int size = meanings.length;
        if (size < 2) {
            return 0;
        }
        double[] sample = new double[(int) Math.min(rules.sampled(), (long) size * (size - 1) / 2 + 1)];
        long state = 1;
        for (int i = 0; i < sample.length; i++) {
            state = state * 6364136223846793005L + 1442695040888963407L;
            int one = (int) ((state >>> 33) % size);
            state = state * 6364136223846793005L + 1442695040888963407L;
            int other = (int) ((state >>> 33) % size);
            sample[i] = dot(meanings[one], meanings[other == one ? (one + 1) % size : other]);
        }
        Arrays.sort(sample);
        return Math.min(rules.mostUsual(), sample[sample.length / 2]);
    }

    private static double dot(float[] one, float[] other) {
        float a = 0;
        float b = 0;
        int i = 0;
        for (; i + 1 < one.length; i += 2) {
            a += one[i] * other[i];
            b += one[i + 1] * other[i + 1];
        }
        for (; i < one.length; i++) {
            a += one[i] * other[i];
        }
        return a + b;
    }

    int size() {
        return terms.length;
    }

    /** The numbers that similarity goes by. */
    SimilarityRules rules() {
        return rules;
    }

    boolean knowsMeaning() {
        return meanings != null;
    }

    Sparse terms(int keyword) {
        return terms[keyword];
    }

    Sparse softened(int keyword) {
        return softened[keyword];
    }

    /** How alike two keywords are without a look at their nearest ones, when their words are so much alike. */
    double blended(int one, int other, double words) {
        return meanings == null
                ? words
                : (1 - ofMeaning) * words
                        + ofMeaning * Math.max(0, (dot(meanings[one], meanings[other]) - usual) / (1 - usual));
    }

    /** The keywords to which each is most alike, the most alike first. */
    int[][] links() {
        return links;
    }

    Sum sum(int keyword) {
        return new Sum(
                terms[keyword], softened[keyword], near[keyword], meanings == null ? null : meanings[keyword], 1);
    }

    /** The sum of some keywords, at least one; by halves, for adding one after the other would copy the sum for each. */
    Sum sum(int[] members) {
        return sum(members, 0, members.length);
    }

    private Sum sum(int[] members, int from, int to) {
        if (to - from == 1) {
            return sum(members[from]);
        }
        int middle = (from + to) / 2;
        return sum(members, from, middle).plus(sum(members, middle, to));
    }

    /** How alike the members of two sets are on the whole, 0 to 1. */
    double between(Sum one, Sum other) {
        boolean smaller = one.terms.places().length <= other.terms.places().length;
        double words = smaller ? one.terms.dot(other.softened) : one.softened.dot(other.terms);
        return whole(one, other, words, one.near.dot(other.near));
    }

    private double whole(Sum one, Sum other, double words, double near) {
        double pairs = (double) one.size * other.size;
        double blended = words;
        if (one.meaning != null && other.meaning != null) {
            blended = (1 - ofMeaning) * words
                    + ofMeaning * (dot(one.meaning, other.meaning) - usual * pairs) / (1 - usual);
        }
        double like = ((1 - ofNearest) * blended + ofNearest * near) / pairs;
        return Math.max(0, Math.min(1, like));
    }

    /** A set that is compared with many others, its places laid out so that each is found at once. For one thread. */
    final class Spread {
        private final float[] termsOf;
        private final float[] softenedOf;
        private final float[] nearOf;
        private @Nullable Sum sum;

        Spread() {
            termsOf = new float[termCount];
            softenedOf = new float[termCount];
            nearOf = new float[size()];
        }

        /** From here on this set is compared. */
        void lay(Sum next) {
            Sum before = sum;
            if (before != null) {
                before.terms.clear(termsOf);
                before.softened.clear(softenedOf);
                before.near.clear(nearOf);
            }
            next.terms.lay(termsOf);
            next.softened.lay(softenedOf);
            next.near.lay(nearOf);
            sum = next;
        }

        /** The same as {@link Similarity#between} of the set that was laid out and another. */
        double between(Sum other) {
            Sum one = Objects.requireNonNull(sum);
            boolean smaller = one.terms.places().length <= other.terms.places().length;
            double words = smaller ? other.softened.dot(termsOf) : other.terms.dot(softenedOf);
            return whole(one, other, words, other.near.dot(nearOf));
        }
    }

    /**
     * What the similarity of a keyword to others is made of.
     *
     * @param terms by term how much it adds
     * @param meaning how much what they mean adds beyond their words
     * @param company how much shared nearest ones add
     */
    record Parts(Map<Integer, Double> terms, double meaning, double company) {
        double whole() {
            return terms.values().stream().mapToDouble(Double::doubleValue).sum() + meaning + company;
        }
    }

    /**
     * The parts of what {@link #between} says of a keyword and a set.
     *
     * @param member whether the keyword is one of the set; then it is about the others
     */
    Parts parts(int keyword, Sum set, boolean member) {
        double others = set.size - (member ? 1 : 0);
        Sparse own = terms[keyword];
        boolean known = meanings != null && set.meaning != null;
        double said = (1 - ofNearest) * (known ? 1 - ofMeaning : 1);
        Map<Integer, Double> adds = new TreeMap<>();
        for (int i = 0; i < own.places().length; i++) {
            int term = own.places()[i];
            double there = set.softened.at(term) - (member ? softened[keyword].at(term) : 0);
            double add = said * own.values()[i] * there / others;
            if (add > 1e-6) {
                adds.put(term, add);
            }
        }
        double meaning = 0;
        if (known) {
            double same =
                    dot(meanings[keyword], set.meaning) - (member ? dot(meanings[keyword], meanings[keyword]) : 0);
            meaning = Math.max(0, (1 - ofNearest) * ofMeaning * (same / others - usual) / (1 - usual));
        }
        double company = near[keyword].dot(set.near) - (member ? near[keyword].dot(near[keyword]) : 0);
        return new Parts(adds, meaning, Math.max(0, ofNearest * company / others));
    }
}
