package smorgas.core.group.read;

import it.unimi.dsi.fastutil.ints.Int2IntOpenHashMap;
import it.unimi.dsi.fastutil.longs.Long2IntMap;
import it.unimi.dsi.fastutil.longs.Long2IntOpenHashMap;
import java.util.Arrays;
import java.util.stream.IntStream;
import smorgas.core.group.Grouping;

/**
 * How far two ways of dividing the same things agree, such as groups found and themes known, or two alternatives. Each
 * thing has a label in either; equal labels are one class. All figures but the adjusted Rand index lie between 0 and 1.
 *
 * <p>Purity, Rand, F and normalised mutual information as in Manning, Raghavan and Schütze, Introduction to Information
 * Retrieval (2008), section 16.3; adjusted Rand as in Hubert and Arabie (1985); homogeneity and completeness as in
 * Rosenberg and Hirschberg (2007); B-cubed as in Bagga and Baldwin (1998).
 *
 * @param things how many things were divided
 * @param purity the share of things that are of the commonest known class of their found group
 * @param rand the share of pairs on which both agree
 * @param adjustedRand the same, corrected for chance: 0 for what chance gives, 1 for the same division
 * @param mutualInformation normalised by the arithmetic mean of both entropies; equals the V-measure
 * @param homogeneity 1 if no found group mixes known classes
 * @param completeness 1 if no known class is torn apart
 * @param precision B-cubed: over all things, the mean share of its found group that is of its known class
 * @param recall B-cubed: over all things, the mean share of its known class that is in its found group
 */
public record Agreement(
        int things,
        double purity,
        double rand,
        double adjustedRand,
        double mutualInformation,
        double homogeneity,
        double completeness,
        double precision,
        double recall) {

    /** The harmonic mean of B-cubed precision and recall; 0 if both are. */
    public double f() {
        return precision + recall == 0 ? 0 : 2 * precision * recall / (precision + recall);
    }

    /**
     * Compares two results over the same keywords. The ungrouped keywords are one class; what is not grouped at all is left out.
     *
     * @throws IllegalArgumentException if there is no keyword, or they are not over the same ones
     */
    public static Agreement of(Grouping found, Grouping known) {
        if (found.keywords() != known.keywords()) {
            throw new IllegalArgumentException(
                    found.keywords() + " keywords grouped, and " + known.keywords() + " others known");
        }
        // Those that only one of them groups say nothing about how they agree.
        int[] both = IntStream.range(0, found.keywords())
                .filter(keyword ->
                        found.groupOf(keyword) != Grouping.OUTSIDE && known.groupOf(keyword) != Grouping.OUTSIDE)
                .toArray();
        return of(
                Arrays.stream(both).map(found::groupOf).toArray(),
                Arrays.stream(both).map(known::groupOf).toArray());
    }

    /**
     * Compares what was found with what is known.
     *
     * @throws IllegalArgumentException if they are not of the same, positive number of things
     */
    public static Agreement of(int[] found, int[] known) {
        if (found.length != known.length || found.length == 0) {
            throw new IllegalArgumentException(found.length + " things found, " + known.length + " known");
        }
        int n = found.length;
        int[] rows = dense(found);
        int[] columns = dense(known);
        int[] rowSizes = sizes(rows);
        int[] columnSizes = sizes(columns);
        Long2IntOpenHashMap cells = new Long2IntOpenHashMap();
        for (int i = 0; i < n; i++) {
            cells.addTo((long) rows[i] << 32 | columns[i], 1);
        }
        double pairsInBoth = 0;
        double joint = 0;
        double precision = 0;
        double recall = 0;
        int[] commonest = new int[rowSizes.length];
        for (Long2IntMap.Entry cell : cells.long2IntEntrySet()) {
            int row = (int) (cell.getLongKey() >>> 32);
            int column = (int) cell.getLongKey();
            double count = cell.getIntValue();
            pairsInBoth += pairs(count);
            joint += count / n * Math.log(count * n / ((double) rowSizes[row] * columnSizes[column]));
            precision += count * count / rowSizes[row];
            recall += count * count / columnSizes[column];
            commonest[row] = Math.max(commonest[row], cell.getIntValue());
        }
        double pairsFound =
                Arrays.stream(rowSizes).mapToDouble(Agreement::pairs).sum();
        double pairsKnown =
                Arrays.stream(columnSizes).mapToDouble(Agreement::pairs).sum();
        double all = pairs(n);
        double expected = all == 0 ? 0 : pairsFound * pairsKnown / all;
        double most = (pairsFound + pairsKnown) / 2;
        double ofFound = entropy(rowSizes, n);
        double ofKnown = entropy(columnSizes, n);
        return new Agreement(
                n,
                Arrays.stream(commonest).sum() / (double) n,
                all == 0 ? 1 : (all + 2 * pairsInBoth - pairsFound - pairsKnown) / all,
                most == expected ? 1 : (pairsInBoth - expected) / (most - expected),
                ofFound + ofKnown == 0 ? 1 : Math.max(0, 2 * joint / (ofFound + ofKnown)),
                ofKnown == 0 ? 1 : Math.max(0, joint / ofKnown),
                ofFound == 0 ? 1 : Math.max(0, joint / ofFound),
                precision / n,
                recall / n);
    }

    private static double pairs(double count) {
        return count * (count - 1) / 2;
    }

    private static double entropy(int[] sizes, int n) {
        double entropy = 0;
        for (int size : sizes) {
            entropy -= size / (double) n * Math.log(size / (double) n);
        }
        return entropy;
    }

    private static int[] dense(int[] labels) {
        Int2IntOpenHashMap numbers = new Int2IntOpenHashMap();
        int[] dense = new int[labels.length];
        for (int i = 0; i < labels.length; i++) {
            numbers.putIfAbsent(labels[i], numbers.size());
            dense[i] = numbers.get(labels[i]);
        }
        return dense;
    }

    private static int[] sizes(int[] labels) {
        int[] sizes = new int[Arrays.stream(labels).max().orElse(-1) + 1];
        for (int label : labels) {
            sizes[label]++;
        }
        return sizes;
    }
}
