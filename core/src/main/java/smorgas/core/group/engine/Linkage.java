package smorgas.core.group.engine;

import it.unimi.dsi.fastutil.ints.Int2DoubleMap;
import it.unimi.dsi.fastutil.ints.Int2DoubleOpenHashMap;
import it.unimi.dsi.fastutil.ints.IntArrayList;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CancellationException;
import org.jspecify.annotations.Nullable;

/**
 * Average linkage: again and again the two groups are joined whose members are most alike on the whole. Found by chains of
 * nearest neighbours (Murtagh 1983), among groups of which any two members are neighbours; how alike two groups are is known
 * from their sums, and so is the same as over all pairs.
 */
final class Linkage {

    /** Groups less alike than this are not joined, however broad somebody wants them. */
    static final double LEAST = .08;

    private static final double LEAST_OF_LONG = .35;

    private static final int MOST_NEIGHBOURS = 48;

    /** Sums of rounded numbers differ by less; without it a chain could run in a circle. */
    private static final double TRULY = 1e-7;

    private final Likeness likeness;
    private final Likeness.@Nullable Sum[] sums;
    private final @Nullable Int2DoubleOpenHashMap[] near;
    private final int[] parent;
    private final List<Dendrogram.Merge> merges = new ArrayList<>();
    private final int size;
    private final double least;

    private Linkage(Likeness likeness) {
        this.likeness = likeness;
        this.size = likeness.size();
        this.least = size > likeness.care().joins() ? LEAST_OF_LONG : LEAST;
        this.sums = new Likeness.Sum[size];
        this.near = new Int2DoubleOpenHashMap[size];
        this.parent = new int[size];
        for (int keyword = 0; keyword < size; keyword++) {
            sums[keyword] = likeness.sum(keyword);
            near[keyword] = new Int2DoubleOpenHashMap();
            parent[keyword] = keyword;
        }
        for (int keyword = 0; keyword < size; keyword++) {
            for (int other : likeness.links()[keyword]) {
                if (!near[keyword].containsKey(other)) {
                    double like = likeness.between(sums[keyword], sums[other]);
                    if (like >= least) {
                        near[keyword].put(other, like);
                        near[other].put(keyword, like);
                    }
                }
            }
        }
    }

    static Dendrogram of(Likeness likeness) {
        Linkage linkage = new Linkage(likeness);
        linkage.run();
        return new Dendrogram(likeness.size(), linkage.merges);
    }

    private void run() {
        int[] place = new int[size];
        Arrays.fill(place, -1);
        IntArrayList chain = new IntArrayList();
        for (int start = 0; start < size; start++) {
            if (parent[start] != start) {
                continue;
            }
            push(chain, start, place);
            while (!chain.isEmpty()) {
                if (Thread.currentThread().isInterrupted()) {
                    throw new CancellationException("no longer wanted");
                }
                int last = chain.getInt(chain.size() - 1);
                int before = chain.size() > 1 ? chain.getInt(chain.size() - 2) : -1;
                int nearest = nearest(last, before);
                if (nearest < 0) {
                    cut(chain, chain.size() - 1, place);
                } else if (nearest == before) {
                    cut(chain, chain.size() - 2, place);
                    int joined = join(before, last);
                    if (chain.isEmpty()) {
                        push(chain, joined, place);
                    }
                } else {
                    // Further up only where a join has brought a neighbour that was none before: it goes on from there.
                    if (place[nearest] >= 0) {
                        cut(chain, place[nearest], place);
                    }
                    push(chain, nearest, place);
                }
            }
        }
    }

    private static void push(IntArrayList chain, int group, int[] place) {
        place[group] = chain.size();
        chain.add(group);
    }

    private static void cut(IntArrayList chain, int length, int[] place) {
        for (int i = length; i < chain.size(); i++) {
            place[chain.getInt(i)] = -1;
        }
        chain.size(length);
    }

    /** The group most alike; the one that the chain came from unless another is truly more alike; else of equal ones the first. */
    private int nearest(int group, int before) {
        int best = before;
        double most = before < 0 ? 0 : near[group].get(before) + TRULY;
        for (Int2DoubleMap.Entry one : near[group].int2DoubleEntrySet()) {
            int other = one.getIntKey();
            double like = one.getDoubleValue();
            if (like > most || like == most && best >= 0 && best != before && other < best) {
                best = other;
                most = like;
            }
        }
        return best;
    }

    /** The joined group has the smaller number. */
    private int join(int one, int other) {
        int into = Math.min(one, other);
        int from = Math.max(one, other);
        Int2DoubleOpenHashMap mine = near[into];
        Int2DoubleOpenHashMap theirs = near[from];
        merges.add(new Dendrogram.Merge(into, from, mine.get(from)));
        Likeness.Sum first = sums[into];
        Likeness.Sum second = sums[from];
        Likeness.Sum sum = first.plus(second);
        sums[into] = sum;
        sums[from] = null;
        parent[from] = into;
        mine.remove(from);
        theirs.remove(into);
        Int2DoubleOpenHashMap joined = new Int2DoubleOpenHashMap();
        double whole = sum.size();
        for (Int2DoubleMap.Entry entry : mine.int2DoubleEntrySet()) {
            int neighbour = entry.getIntKey();
            double like = theirs.containsKey(neighbour)
                    ? (first.size() * entry.getDoubleValue() + second.size() * theirs.get(neighbour)) / whole
                    : likeness.between(sum, sums[neighbour]);
            joined.put(neighbour, like);
        }
        for (Int2DoubleMap.Entry entry : theirs.int2DoubleEntrySet()) {
            int neighbour = entry.getIntKey();
            if (!joined.containsKey(neighbour)) {
                joined.put(neighbour, likeness.between(sum, sums[neighbour]));
            }
            near[neighbour].remove(from);
        }
        double enough = Math.max(least, ofTheBest(joined));
        joined.int2DoubleEntrySet().removeIf(entry -> {
            boolean too = entry.getDoubleValue() < enough;
            if (too) {
                near[entry.getIntKey()].remove(into);
            } else {
                near[entry.getIntKey()].put(into, entry.getDoubleValue());
            }
            return too;
        });
        near[into] = joined;
        near[from] = null;
        return into;
    }

    /** In long lists a group forgets all but its best neighbours; how alike the last of these is. */
    private double ofTheBest(Int2DoubleOpenHashMap neighbours) {
        if (size <= likeness.care().joins() || neighbours.size() <= MOST_NEIGHBOURS) {
            return 0;
        }
        double[] values = neighbours.values().toDoubleArray();
        Arrays.sort(values);
        return values[values.length - MOST_NEIGHBOURS];
    }
}
