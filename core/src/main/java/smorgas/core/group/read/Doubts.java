package smorgas.core.group.read;

import it.unimi.dsi.fastutil.ints.Int2DoubleMap;
import it.unimi.dsi.fastutil.ints.Int2DoubleOpenHashMap;
import it.unimi.dsi.fastutil.longs.Long2DoubleOpenHashMap;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import smorgas.core.column.Cores;
import smorgas.core.group.Grouping;
import smorgas.core.group.engine.Nearness;
import smorgas.core.text.Tidy;

/**
 * What most needs a look in groups, each with the one act that mends it: groups that are so alike that one ad may answer both,
 * keywords that are nearer to another group, parts of a group that are little like the rest, ungrouped keywords near a group.
 */
public final class Doubts {

    /** Larger ones are not looked into: how alike each two of their keywords are would take too long. */
    private static final int MOST_OF_A_GROUP = 120;

    private static final double SEARCHED = 10;

    /** Nobody looks at more before the groups have changed. */
    private static final int MOST = 1_000;

    /** Something to look at. */
    public sealed interface Doubt {

        /** From 0 up; the higher the likelier, and the more keywords it is about. */
        double weight();
    }

    /** Two groups that one ad may answer; the smaller goes into the larger. */
    public record Join(int from, int into, double like, double weight) implements Doubt {}

    /** A keyword that may be better in another group; {@code own} is how near it is to its own, 0 for an ungrouped keyword. */
    public record Move(int keyword, int into, double own, double there, double weight) implements Doubt {}

    /**
     * Keywords of a group that may want one of their own, or belong into another.
     *
     * @param like how alike they are to the rest
     * @param near the other group to which they are most alike; -1 if there is none
     */
    public record Part(int group, int[] keywords, double like, int near, double weight) implements Doubt {}

    private final Groups groups;
    private final Grouping grouping;
    private final Nearness nearness;

    private Doubts(Groups groups) {
        this.groups = groups;
        this.grouping = groups.grouping();
        this.nearness = grouping.nearness();
    }

    /** What tells a doubt apart from others, whatever groups there are. */
    public static String key(Doubt doubt, Groups groups) {
        Grouping grouping = groups.grouping();
        return switch (doubt) {
            case Join join -> {
                String one = grouping.key(join.from());
                String other = grouping.key(join.into());
                yield "join | " + (one.compareTo(other) < 0 ? one + " | " + other : other + " | " + one);
            }
            case Move move -> "move | " + text(move.keyword(), groups) + " | " + grouping.key(move.into());
            case Part part -> "part | " + grouping.key(part.group()) + " | " + text(part.keywords()[0], groups);
        };
    }

    private static String text(int keyword, Groups groups) {
        return Tidy.of(groups.all().text(keyword));
    }

    /** The weightiest doubts, the weightiest first. */
    static List<Doubt> of(Groups groups) {
        Doubts doubts = new Doubts(groups);
        List<Doubt> found = new ArrayList<>();
        doubts.joins(found);
        doubts.moves(found);
        doubts.parts(found);
        found.sort(Comparator.comparingDouble(Doubt::weight).reversed().thenComparing(doubt -> key(doubt, groups)));
        return List.copyOf(found.subList(0, Math.min(MOST, found.size())));
    }

    private double tightness(int group) {
        return grouping.meanTightness(group);
    }

    private void joins(List<Doubt> found) {
        Long2DoubleOpenHashMap pairs = new Long2DoubleOpenHashMap();
        for (int group = 0; group < grouping.size(); group++) {
            int of = group;
            if (!nearness.measures(group)) {
                continue;
            }
            for (int keyword : grouping.members().row(group)) {
                nearness.forEach(keyword, other -> {
                    if (other != of && nearness.measures(other) && !locked(of) && !locked(other)) {
                        long pair = (long) Math.min(of, other) << 32 | Math.max(of, other);
                        if (!pairs.containsKey(pair)) {
                            pairs.put(pair, nearness.between(of, other));
                        }
                    }
                });
            }
        }
        pairs.long2DoubleEntrySet().forEach(pair -> {
            int one = (int) (pair.getLongKey() >> 32);
            int other = (int) pair.getLongKey();
            boolean smaller = groups.keywords(one) < groups.keywords(other)
                    || groups.keywords(one) == groups.keywords(other)
                            && groups.searches(one).sum()
                                    < groups.searches(other).sum();
            int from = smaller ? one : other;
            int into = smaller ? other : one;
            double like = pair.getDoubleValue();
            double right = DoubtWeights.join(
                    like, Math.min(tightness(from), tightness(into)), groups.keywords(from), groups.keywords(into));
            found.add(new Join(
                    from, into, like, right * searched(groups.searches(from).sum())));
        });
    }

    private void moves(List<Doubt> found) {
        for (int keyword = 0; keyword < grouping.keywords(); keyword++) {
            int own = grouping.groupOf(keyword);
            if (own == Grouping.OUTSIDE || own >= 0 && decided(keyword)) {
                continue;
            }
            double here = own < 0 || groups.keywords(own) < 2 ? 0 : grouping.tightness(keyword);
            Explained.Why why = groups.explained().why(keyword);
            if (why.next().isPresent() && !locked(why.next().get()) && (own < 0 || groups.keywords(own) > 1)) {
                int into = why.next().get();
                double there = why.nextTightness();
                double right = own < 0
                        ? DoubtWeights.place(there, tightness(into), groups.keywords(into))
                        : DoubtWeights.move(here, there, tightness(into), groups.keywords(into));
                found.add(new Move(keyword, into, here, there, right * searched(groups.searched(keyword))));
            }
        }
    }

    private boolean locked(int group) {
        return grouping.by(grouping.members().get(group, 0)) == Grouping.By.LOCK;
    }

    /** Whether a hand or a rule has put a keyword where it is. */
    private boolean decided(int keyword) {
        return switch (grouping.by(keyword)) {
            case HAND, LOCK, JOIN, RULE -> true;
            case THEME, ADOPTED, PLACE, REST -> false;
        };
    }

    private void parts(List<Doubt> found) {
        @Nullable Part[] parts = new Part[grouping.size()];
        Cores.run(parts.length, (from, to) -> {
            for (int group = from; group < to; group++) {
                parts[group] = part(group);
            }
        });
        Arrays.stream(parts).filter(Objects::nonNull).forEach(found::add);
    }

    private @Nullable Part part(int group) {
        int size = groups.keywords(group);
        if (size < 3 || size > MOST_OF_A_GROUP || !nearness.measures(group)) {
            return null;
        }
        int[] members = grouping.members().row(group);
        LastJoin halves = LastJoin.of(members, nearness);
        int[] part = halves.smaller();
        long decided = Arrays.stream(members).filter(this::decided).count();
        long leaving = Arrays.stream(part).filter(this::decided).count();
        if (leaving == part.length || decided - leaving == size - part.length) {
            // What a hand has brought together is not doubted.
            return null;
        }
        double right = DoubtWeights.part(halves.like(), tightness(group), part.length, size);
        double weight = right
                * part.length
                * searched(Arrays.stream(part).mapToLong(groups::searched).sum());
        return new Part(group, part, halves.like(), near(part, group), weight);
    }

    /** Of doubts that are as likely those with more searches are worth more. */
    private static double searched(long searches) {
        return 1 + Math.log(1 + searches) / SEARCHED;
    }

    /** The group but their own to which some keywords are most alike. */
    private int near(int[] part, int own) {
        Int2DoubleOpenHashMap sums = new Int2DoubleOpenHashMap();
        for (int keyword : part) {
            nearness.forEach(keyword, group -> {
                if (group != own && nearness.measures(group)) {
                    sums.addTo(group, nearness.of(keyword, group));
                }
            });
        }
        return sums.int2DoubleEntrySet().stream()
                .max(Comparator.comparingDouble(Int2DoubleMap.Entry::getDoubleValue)
                        .thenComparing(Comparator.comparingInt(Int2DoubleMap.Entry::getIntKey)
                                .reversed()))
                .map(Int2DoubleMap.Entry::getIntKey)
                .orElse(-1);
    }
}
