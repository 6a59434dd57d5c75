package smorgas.core.group.engine;

import it.unimi.dsi.fastutil.ints.IntOpenHashSet;
import java.util.Arrays;
import java.util.function.IntConsumer;
import org.jspecify.annotations.Nullable;

/** Near is a keyword to a group to whose other members it is alike. */
final class LikeNearness implements Nearness {

    private final Membership result;
    private final Likeness likeness;
    /** The number of each keyword among those that grew; -1 for others. */
    private final int[] place;

    private final int[] keywordAt;
    private final Likeness.@Nullable Sum[] sums;

    LikeNearness(Membership result, Likeness likeness, int[] place) {
        this.result = result;
        this.likeness = likeness;
        this.place = place;
        this.sums = new Likeness.Sum[result.groups()];
        this.keywordAt = new int[likeness.size()];
        for (int keyword = 0; keyword < place.length; keyword++) {
            if (place[keyword] >= 0) {
                keywordAt[place[keyword]] = keyword;
            }
        }
        for (int group = 0; group < sums.length; group++) {
            int[] members = Arrays.stream(result.members().row(group))
                    .map(keyword -> place[keyword])
                    .filter(at -> at >= 0)
                    .toArray();
            sums[group] = members.length == 0 ? null : likeness.sum(members);
        }
    }

    @Override
    public double of(int keyword, int group) {
        Likeness.Sum sum = sums[group];
        if (sum == null || place[keyword] < 0) {
            return 0;
        }
        Likeness.Sum own = likeness.sum(place[keyword]);
        double all = likeness.between(own, sum);
        if (result.groupOf(keyword) != group) {
            return all;
        }
        // To the others only: nothing is more like a keyword than itself.
        int others = sum.size() - 1;
        return others == 0 ? 1 : Math.max(0, (all * sum.size() - likeness.between(own, own)) / others);
    }

    @Override
    public void forEach(int keyword, IntConsumer group) {
        if (place[keyword] < 0) {
            return;
        }
        IntOpenHashSet met = new IntOpenHashSet();
        for (int other : likeness.links()[place[keyword]]) {
            int of = result.groupOf(keywordAt[other]);
            if (of >= 0 && met.add(of)) {
                group.accept(of);
            }
        }
    }

    @Override
    public boolean measures(int group) {
        return sums[group] != null;
    }

    @Override
    public double between(int group, int other) {
        Likeness.Sum one = sums[group];
        Likeness.Sum two = sums[other];
        return one == null || two == null ? 0 : likeness.between(one, two);
    }

    @Override
    public double alike(int keyword, int other) {
        return place[keyword] < 0 || place[other] < 0
                ? 0
                : likeness.between(likeness.sum(place[keyword]), likeness.sum(place[other]));
    }
}
