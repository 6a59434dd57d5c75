package smorgas.core.group.engine;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import it.unimi.dsi.fastutil.ints.IntArrays;
import java.util.Arrays;
import java.util.concurrent.CancellationException;
import smorgas.core.column.Cores;
import smorgas.core.column.RaggedInts;

/**
 * For each keyword those to which it is most alike. Found by the terms that they have in common, the rarest first; of terms
 * that very many keywords have only as many are looked at as it takes to have enough to choose from.
 */
final class Neighbours {

    /** How many are kept of each keyword. */
    private static final int KEPT = 24;

    /** Of so many keywords or fewer every pair with a term in common is looked at. */
    private static final int EXACT = 12_000;

    /** In larger lists terms of more keywords are looked at last, and only if there are not so many to choose from yet. */
    private static final int COMMON = 2_000;

    private static final int ENOUGH = 400;

    /** Less alike than this are no neighbours. */
    private static final double LEAST = .05;

    private static final int FEW = 500;

    private final Likeness likeness;
    private final RaggedInts having;
    private final int size;
    private final int[][] links;

    Neighbours(Likeness likeness, int terms) {
        this.likeness = likeness;
        this.size = likeness.size();
        RaggedInts.Builder rows = new RaggedInts.Builder();
        for (int keyword = 0; keyword < size; keyword++) {
            for (int term : likeness.terms(keyword).places()) {
                rows.add(term);
            }
            rows.endRow();
        }
        this.having = rows.seal().inverse(terms);
        this.links = new int[size][];
        Cores.run(size, FEW, this::find);
    }

    int[][] links() {
        return links;
    }

    private void find(int from, int to) {
        double[] words = new double[size];
        IntArrayList met = new IntArrayList();
        for (int keyword = from; keyword < to; keyword++) {
            if (Thread.currentThread().isInterrupted()) {
                throw new CancellationException("no longer wanted");
            }
            meet(keyword, words, met);
            links[keyword] = best(keyword, words, met);
            for (int i = 0; i < met.size(); i++) {
                words[met.getInt(i)] = 0;
            }
            met.clear();
        }
    }

    /** Sums up what the keywords that share a term with this one have in common with it. */
    private void meet(int keyword, double[] words, IntArrayList met) {
        Sparse soft = likeness.softened(keyword);
        Integer[] order = new Integer[soft.places().length];
        Arrays.setAll(order, i -> i);
        Arrays.sort(order, (a, b) -> {
            int byCount = Integer.compare(having.length(soft.places()[a]), having.length(soft.places()[b]));
            return byCount != 0 ? byCount : Integer.compare(a, b);
        });
        boolean exact = true;
        for (int place : order) {
            int term = soft.places()[place];
            int count = having.length(term);
            if (size > EXACT && count > COMMON && met.size() >= ENOUGH) {
                exact = false;
                break;
            }
            int most = size > EXACT ? Math.min(count, 10 * COMMON) : count;
            for (int i = 0; i < most; i++) {
                int other = having.get(term, i);
                if (words[other] == 0) {
                    met.add(other);
                }
                words[other] += 1e-9;
            }
            exact &= most == count;
            if (size <= EXACT) {
                add(term, soft.values()[place], words);
            }
        }
        if (size > EXACT || !exact) {
            for (int i = 0; i < met.size(); i++) {
                int other = met.getInt(i);
                words[other] = likeness.terms(other).dot(soft);
            }
        }
    }

    private void add(int term, float weight, double[] words) {
        for (int i = 0; i < having.length(term); i++) {
            int other = having.get(term, i);
            Sparse of = likeness.terms(other);
            words[other] += weight * of.values()[Arrays.binarySearch(of.places(), term)];
        }
    }

    /** The most alike, the most alike first; of equal ones the first. */
    private int[] best(int keyword, double[] words, IntArrayList met) {
        int[] others = new int[met.size()];
        double[] like = new double[met.size()];
        int count = 0;
        for (int i = 0; i < met.size(); i++) {
            int other = met.getInt(i);
            if (other != keyword) {
                double blended = likeness.blended(keyword, other, words[other]);
                if (blended >= LEAST) {
                    others[count] = other;
                    like[count++] = blended;
                }
            }
        }
        int[] order = new int[count];
        Arrays.setAll(order, i -> i);
        int kept = Math.min(KEPT, count);
        java.util.function.IntBinaryOperator compare = (a, b) -> {
            int byLikeness = Double.compare(like[b], like[a]);
            return byLikeness != 0 ? byLikeness : Integer.compare(others[a], others[b]);
        };
        IntArrays.quickSort(order, compare::applyAsInt);
        int[] best = new int[kept];
        for (int i = 0; i < kept; i++) {
            best[i] = others[order[i]];
        }
        return best;
    }
}
