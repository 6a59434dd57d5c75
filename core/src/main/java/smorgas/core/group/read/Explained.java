package smorgas.core.group.read;

import it.unimi.dsi.fastutil.ints.Int2IntOpenHashMap;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.SortedMap;
import java.util.concurrent.ConcurrentSkipListMap;
import smorgas.core.column.Cores;
import smorgas.core.column.RaggedInts;
import smorgas.core.group.Grouping;
import smorgas.core.group.engine.Nearness;
import smorgas.core.recipe.group.GroupRule;

/** Why keywords are in their groups, and what groups are made of. Safe for many threads; cannot change. */
public final class Explained {

    /** A keyword is near the border if it would be this much less tight, or no less at all, in another group. */
    public static final double BORDER = .05;

    /** A member is odd if it is less tight than this part of its group's mean. */
    private static final double ODD = 2 / 3.0;

    /** A word is common in a group if this share of its keywords has it. */
    private static final double COMMON = .2;

    private static final int MOST = 8;

    private static final int MOST_NAMES = 3;

    private final Groups groups;
    private final Grouping grouping;

    /** A word of a group's keywords, and the share of them that has it. */
    public record Common(String word, double share, boolean theme) {}

    /** Another group, and how near it is: 0 to 1. */
    public record Near(int group, double nearness) {}

    /**
     * Why a keyword is where it is.
     *
     * @param by the words of its group's theme that it has
     * @param tightness in its group
     * @param next the other group in which it would be tightest of those that it could be in; empty if none
     * @param nextTightness its tightness there
     */
    public record Why(List<String> by, double tightness, Optional<Integer> next, double nextTightness) {

        /** By how much the next best group lost; below 0 if the keyword is in its group for the group's rank. */
        public double lead() {
            return tightness - nextTightness;
        }
    }

    /**
     * Figures of a whole result.
     *
     * @param keywords asked to be grouped
     * @param grouped of them in some group
     * @param searches known searches of all keywords asked for
     * @param groupedSearches those of keywords in groups
     * @param groups how many
     * @param smallest keywords of the smallest group; 0 without groups, as the next two
     * @param median of the sizes, the lower one of two in the middle
     * @param largest keywords of the largest group
     * @param tightness mean of the keywords in groups of which it can be told
     * @param separation mean of (a - b) / max(a, b) over the same keywords, a being the tightness of a keyword in its group
     *     and b in the next best: -1 to 1, after the silhouette of Rousseeuw (1987), with tightness for nearness
     * @param border how many keywords are near the border of their group
     */
    public record Figures(
            int keywords,
            int grouped,
            long searches,
            long groupedSearches,
            int groups,
            int smallest,
            int median,
            int largest,
            double tightness,
            double separation,
            int border) {}

    Explained(Groups groups) {
        this.groups = groups;
        this.grouping = groups.grouping();
    }

    /** Why a keyword is in its group; of one that is in none, which would be the next. */
    public Why why(int keyword) {
        int own = grouping.groupOf(keyword);
        int[] theme = own < 0 ? new int[0] : grouping.themeWords(own);
        int[] row = grouping.words().rows().row(keyword);
        List<String> by = Arrays.stream(theme)
                .filter(word -> Arrays.stream(row).anyMatch(has -> has == word))
                .mapToObj(grouping.words()::text)
                .toList();
        Next next = next(keyword);
        return new Why(
                by,
                grouping.tightness(keyword),
                next.group() < 0 ? Optional.empty() : Optional.of(next.group()),
                next.tightness());
    }

    /** The group in which a keyword would be tightest but for its own, -1 if there is none, and how tight. */
    private record Next(int group, double tightness) {}

    private Next next(int keyword) {
        int own = grouping.groupOf(keyword);
        double[] best = {0};
        int[] next = {-1};
        Nearness nearness = grouping.nearness();
        nearness.forEach(keyword, group -> {
            double tightness = group == own ? -1 : nearness.of(keyword, group);
            if (tightness > best[0] || tightness == best[0] && next[0] >= 0 && group < next[0]) {
                best[0] = tightness;
                next[0] = group;
            }
        });
        return new Next(next[0], best[0]);
    }

    /** The words that a good part of a group's keywords has, the commonest first. */
    public List<Common> common(int group) {
        List<Common> common = new ArrayList<>();
        int[] theme = grouping.themeWords(group);
        counts(group).forEach((word, count) -> {
            double share = count / (double) grouping.members().length(group);
            if (share >= COMMON && !grouping.words().ignored(word)) {
                common.add(new Common(grouping.words().text(word), share, Grouping.in(theme, word)));
            }
        });
        common.sort(Comparator.comparing(Common::theme)
                .thenComparing(Common::share)
                .reversed()
                .thenComparing(Common::word));
        return common;
    }

    /** Names that a group could have beside its own: its most searched keywords, the tightest, and the words of its theme. */
    public List<String> names(int group) {
        int[] members = grouping.members().row(group);
        List<String> texts = new ArrayList<>();
        Arrays.stream(members)
                .boxed()
                .sorted(Comparator.<Integer>comparingLong(keyword -> -groups.searched(keyword))
                        .thenComparing(keyword -> keyword))
                .limit(MOST_NAMES)
                .forEach(keyword -> texts.add(groups.all().text(keyword)));
        Arrays.stream(members)
                .boxed()
                .max(Comparator.comparingDouble(grouping::tightness))
                .ifPresent(keyword -> texts.add(groups.all().text(keyword)));
        texts.add(String.join(" ", grouping.theme(group)));
        return texts.stream()
                .distinct()
                .filter(text -> GroupRule.fits(text) && !text.equals(groups.name(group)))
                .toList();
    }

    /** Members that are much less tight than the others, the least tight first; those a hand or a rule put there too. */
    public List<Integer> odd(int group) {
        if (!grouping.nearness().measures(group)) {
            return List.of();
        }
        double mean = grouping.meanTightness(group);
        return Arrays.stream(grouping.members().row(group))
                .filter(keyword -> grouping.tightness(keyword) < ODD * mean)
                .boxed()
                .sorted(Comparator.comparingDouble(grouping::tightness))
                .limit(MOST)
                .toList();
    }

    /** The groups whose keywords are most like this one's, of those that a word of their theme brings near; the nearest first. */
    public List<Near> near(int group) {
        Int2IntOpenHashMap counts = counts(group);
        double enough = COMMON * grouping.members().length(group);
        List<Near> near = new ArrayList<>();
        for (int other = 0; other < grouping.size(); other++) {
            if (other != group
                    && Arrays.stream(grouping.themeWords(other)).anyMatch(word -> counts.get(word) >= enough)) {
                double nearness = grouping.nearness().between(group, other);
                if (nearness > .005) {
                    near.add(new Near(other, nearness));
                }
            }
        }
        near.sort(Comparator.comparingDouble(Near::nearness).reversed().thenComparingInt(Near::group));
        return List.copyOf(near.subList(0, Math.min(MOST, near.size())));
    }

    /** How many of a group's keywords have each word. */
    private Int2IntOpenHashMap counts(int group) {
        RaggedInts rows = grouping.words().rows();
        RaggedInts members = grouping.members();
        Int2IntOpenHashMap counts = new Int2IntOpenHashMap();
        for (int i = 0; i < members.length(group); i++) {
            int keyword = members.get(group, i);
            for (int at = 0; at < rows.length(keyword); at++) {
                int word = rows.get(keyword, at);
                boolean before = false;
                for (int earlier = 0; earlier < at && !before; earlier++) {
                    before = rows.get(keyword, earlier) == word;
                }
                if (!before) {
                    counts.addTo(word, 1);
                }
            }
        }
        return counts;
    }

    /** The figures of the whole; every keyword is looked at. */
    Figures figures() {
        SortedMap<Integer, Sums> parts = new ConcurrentSkipListMap<>();
        Cores.run(grouping.keywords(), (from, to) -> {
            Sums part = new Sums();
            for (int keyword = from; keyword < to; keyword++) {
                add(keyword, part);
            }
            parts.put(from, part);
        });
        Sums all = new Sums();
        parts.values().forEach(all::add);
        long grouped = 0;
        for (int group = 0; group < grouping.size(); group++) {
            grouped += groups.searches(group).sum();
        }
        int[] sizes = java.util.stream.IntStream.range(0, grouping.size())
                .map(groups::keywords)
                .sorted()
                .toArray();
        return new Figures(
                all.asked,
                grouping.grouped(),
                grouped + groups.ungroupedSearches().sum(),
                grouped,
                sizes.length,
                sizes.length == 0 ? 0 : sizes[0],
                sizes.length == 0 ? 0 : sizes[(sizes.length - 1) / 2],
                sizes.length == 0 ? 0 : sizes[sizes.length - 1],
                all.themed == 0 ? 0 : all.tightness / all.themed,
                all.themed == 0 ? 0 : all.separation / all.themed,
                all.border);
    }

    /** What is added up over some keywords. */
    private static final class Sums {
        private int asked;
        private int themed;
        private int border;
        private double tightness;
        private double separation;

        void add(Sums other) {
            asked += other.asked;
            themed += other.themed;
            border += other.border;
            tightness += other.tightness;
            separation += other.separation;
        }
    }

    private void add(int keyword, Sums sums) {
        int group = grouping.groupOf(keyword);
        sums.asked += group == Grouping.OUTSIDE ? 0 : 1;
        if (group >= 0 && grouping.nearness().measures(group)) {
            double own = grouping.tightness(keyword);
            Next next = next(keyword);
            double most = Math.max(own, next.tightness());
            sums.themed++;
            sums.tightness += own;
            sums.separation += most == 0 ? 0 : (own - next.tightness()) / most;
            sums.border += next.group() >= 0 && own - next.tightness() <= BORDER ? 1 : 0;
        }
    }
}
