package smorgas.core.group.engine;

import it.unimi.dsi.fastutil.ints.Int2DoubleMap;
import it.unimi.dsi.fastutil.ints.Int2DoubleOpenHashMap;
import it.unimi.dsi.fastutil.ints.IntArrayList;
import java.util.ArrayList;
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

    private final Likeness likeness;
    private final Likeness.@Nullable Sum[] sums;
    private final @Nullable Int2DoubleOpenHashMap[] near;
    private final int[] parent;
    private final List<Dendrogram.Merge> merges = new ArrayList<>();
    private final int size;

    private Linkage(Likeness likeness) {
        this.likeness = likeness;
        this.size = likeness.size();
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
                    if (like >= LEAST) {
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
        IntArrayList chain = new IntArrayList();
        for (int start = 0; start < size; start++) {
            if (parent[start] != start) {
                continue;
            }
            chain.add(start);
            while (!chain.isEmpty()) {
                if (Thread.currentThread().isInterrupted()) {
                    throw new CancellationException("no longer wanted");
                }
                int last = chain.getInt(chain.size() - 1);
                int before = chain.size() > 1 ? chain.getInt(chain.size() - 2) : -1;
                int nearest = nearest(last, before);
                if (nearest < 0) {
                    chain.removeInt(chain.size() - 1);
                } else if (nearest == before) {
                    chain.size(chain.size() - 2);
                    int joined = join(before, last);
                    if (chain.isEmpty()) {
                        chain.add(joined);
                    }
                } else {
                    chain.add(nearest);
                }
            }
        }
    }

    /** The group most alike; of equal ones the one that the chain came from, else the first. */
    private int nearest(int group, int before) {
        int best = -1;
        double most = 0;
        for (Int2DoubleMap.Entry one : near[group].int2DoubleEntrySet()) {
            int other = one.getIntKey();
            double like = one.getDoubleValue();
            boolean better = like > most || like == most && best != before && (other == before || other < best);
            if (better) {
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
        joined.int2DoubleEntrySet().removeIf(entry -> {
            boolean too = entry.getDoubleValue() < LEAST;
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
}
