package smorgas.core.group.similarity;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Objects;
import java.util.concurrent.CancellationException;
import org.jspecify.annotations.Nullable;
import smorgas.core.column.Cores;
import smorgas.core.recipe.group.SimilarityRules;

/**
 * Average linkage: again and again the two groups are joined whose members are most alike on the whole. Found by chains of
 * nearest nearest ones (Murtagh 1983), among groups of which any two members are nearest ones; how alike two groups are is known
 * from their sums, and so is the same as over all pairs.
 */
final class Linkage {

    /** Sums of rounded numbers differ by less; without it a chain could run in a circle. */
    private static final double TRULY = 1e-7;

    private final Similarity similarity;
    private final SimilarityRules.Linkage rules;
    private final Similarity.@Nullable Sum[] sums;
    private final NearOnes[] near;
    private final int[] parent;
    /** How often each group was joined; what was known of it before holds no more. */
    private final int[] joins;

    /** By group its place among those near a group that is joined, from 1. */
    private final int[] place;

    private final List<Dendrogram.Merge> merges = new ArrayList<>();
    private final int size;
    private final double least;
    private final Similarity.Spread spread;

    private Linkage(Similarity similarity) {
        this.similarity = similarity;
        this.rules = similarity.rules().linkage();
        this.size = similarity.size();
        this.spread = similarity.new Spread();
        this.least = size > similarity.rules().care().longList() ? rules.leastOfLong() : rules.least();
        this.sums = new Similarity.Sum[size];
        this.near = new NearOnes[size];
        this.parent = new int[size];
        this.joins = new int[size];
        this.place = new int[size];
        double[][] alike = new double[size][];
        Arrays.setAll(parent, keyword -> keyword);
        Arrays.setAll(sums, similarity::sum);
        Cores.run(size, Similarity.FEW, (from, to) -> {
            Similarity.Spread laid = similarity.new Spread();
            for (int keyword = from; keyword < to; keyword++) {
                laid.lay(Objects.requireNonNull(sums[keyword]));
                int[] links = similarity.links()[keyword];
                alike[keyword] = new double[links.length];
                for (int i = 0; i < links.length; i++) {
                    // What two have in common may be rounded otherwise from the other side: the first says it.
                    boolean said = links[i] < keyword && linked(links[i], keyword);
                    alike[keyword][i] = said ? -1 : laid.between(Objects.requireNonNull(sums[links[i]]));
                }
            }
        });
        int[] room = room(alike);
        Arrays.setAll(near, keyword -> new NearOnes(room[keyword]));
        for (int keyword = 0; keyword < size; keyword++) {
            int[] links = similarity.links()[keyword];
            for (int i = 0; i < links.length; i++) {
                if (alike[keyword][i] >= least) {
                    near[keyword].add(links[i], 0, alike[keyword][i]);
                    near[links[i]].add(keyword, 0, alike[keyword][i]);
                }
            }
        }
    }

    /** How many are near each keyword at first. */
    private int[] room(double[][] alike) {
        int[] room = new int[size];
        for (int keyword = 0; keyword < size; keyword++) {
            int[] links = similarity.links()[keyword];
            for (int i = 0; i < links.length; i++) {
                if (alike[keyword][i] >= least) {
                    room[keyword]++;
                    room[links[i]]++;
                }
            }
        }
        return room;
    }

    private boolean linked(int one, int other) {
        for (int link : similarity.links()[one]) {
            if (link == other) {
                return true;
            }
        }
        return false;
    }

    static Dendrogram of(Similarity similarity) {
        Linkage linkage = new Linkage(similarity);
        linkage.run();
        return new Dendrogram(similarity.size(), linkage.merges);
    }

    private void run() {
        int[] inChain = new int[size];
        Arrays.fill(inChain, -1);
        IntArrayList chain = new IntArrayList();
        for (int start = 0; start < size; start++) {
            if (parent[start] != start) {
                continue;
            }
            push(chain, start, inChain);
            while (!chain.isEmpty()) {
                if (Thread.currentThread().isInterrupted()) {
                    throw new CancellationException("no longer wanted");
                }
                int last = chain.getInt(chain.size() - 1);
                int before = chain.size() > 1 ? chain.getInt(chain.size() - 2) : -1;
                int nearest = nearest(last, before);
                if (nearest < 0) {
                    cut(chain, chain.size() - 1, inChain);
                } else if (nearest == before) {
                    cut(chain, chain.size() - 2, inChain);
                    int joined = join(before, last);
                    if (chain.isEmpty()) {
                        push(chain, joined, inChain);
                    }
                } else {
                    // Further up only where a join has brought a neighbour that was none before: it goes on from there.
                    if (inChain[nearest] >= 0) {
                        cut(chain, inChain[nearest], inChain);
                    }
                    push(chain, nearest, inChain);
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
        NearOnes ones = near[group];
        ones.forget(joins);
        int best = -1;
        double most = 0;
        double back = 0;
        for (int i = 0; i < ones.size(); i++) {
            int other = ones.group(i);
            double like = ones.like(i);
            if (other == before) {
                back = like;
            } else if (like > most || like == most && other < best) {
                best = other;
                most = like;
            }
        }
        return before >= 0 && !(most > back + TRULY) ? before : best;
    }

    /** The joined group has the smaller number. */
    private int join(int one, int other) {
        int into = Math.min(one, other);
        int from = Math.max(one, other);
        NearOnes mine = near[into];
        NearOnes theirs = near[from];
        mine.forget(joins);
        theirs.forget(joins);
        merges.add(new Dendrogram.Merge(into, from, mine.likeOf(from)));
        Similarity.Sum first = sums[into];
        Similarity.Sum second = sums[from];
        Similarity.Sum sum = first.plus(second);
        sums[into] = sum;
        sums[from] = null;
        parent[from] = into;
        joins[into]++;
        joins[from]++;
        spread.lay(sum);
        for (int i = 0; i < theirs.size(); i++) {
            place[theirs.group(i)] = i + 1;
        }
        NearOnes joined = new NearOnes(mine.size() + theirs.size());
        double whole = sum.size();
        for (int i = 0; i < mine.size(); i++) {
            int neighbour = mine.group(i);
            int at = place[neighbour] - 1;
            if (neighbour != from) {
                double like = at >= 0
                        ? (first.size() * mine.like(i) + second.size() * theirs.like(at)) / whole
                        : spread.between(sums[neighbour]);
                joined.add(neighbour, joins[neighbour], like);
                place[neighbour] = 0;
            }
        }
        for (int i = 0; i < theirs.size(); i++) {
            int neighbour = theirs.group(i);
            if (place[neighbour] > 0 && neighbour != into) {
                joined.add(neighbour, joins[neighbour], spread.between(sums[neighbour]));
            }
            place[neighbour] = 0;
        }
        boolean some = size > similarity.rules().care().longList() && joined.size() > rules.mostNearest();
        joined.keepFrom(Math.max(least, some ? joined.likeOfBest(rules.mostNearest()) : 0));
        for (int i = 0; i < joined.size(); i++) {
            near[joined.group(i)].add(into, joins[into], joined.like(i));
        }
        near[into] = joined;
        near[from] = new NearOnes(0);
        return into;
    }
}
