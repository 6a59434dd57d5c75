package smorgas.core.group.read;

import it.unimi.dsi.fastutil.ints.IntArrays;
import it.unimi.dsi.fastutil.objects.ObjectOpenCustomHashSet;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import smorgas.core.column.RaggedInts;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Searched;
import smorgas.core.group.Grouping;
import smorgas.core.group.engine.ThemeWords;
import smorgas.core.group.themes.Candidates;
import smorgas.core.group.themes.Division;
import smorgas.core.group.themes.ScopeWords;
import smorgas.core.recipe.group.Pass;
import smorgas.core.recipe.group.SplitBy;
import smorgas.core.text.Tidy;

/**
 * Themes on which no group formed though enough keywords have them, what a group on one of them would get, and what
 * further words would make of some keywords. Of themes that the same keywords have the longest stands for all.
 */
public final class Prospects {

    /** The fewest keywords that a part of a group has. */
    private static final int SMALLEST_PART = 2;

    private final Groups groups;
    private final Grouping grouping;
    private final ThemeWords words;
    private final RaggedInts having;
    /** The unused themes, of the highest rank first. */
    private final List<int[]> unused = new ArrayList<>();

    /** A theme, and how many keywords have all its words. */
    public record Prospect(String theme, int keywords, Searched searches) {}

    /** What unused themes are put in order by; the greatest first. */
    public enum By {
        KEYWORDS(null),
        SEARCHES(Figure.SEARCHES),
        CLICKS(Figure.CLICKS),
        CONVERSIONS(Figure.CONVERSIONS),
        VISITS(Figure.VISITS),
        GOALS(Figure.GOALS);

        private final @Nullable Figure figure;

        By(@Nullable Figure figure) {
            this.figure = figure;
        }
    }

    /**
     * A further word, and what it would make.
     *
     * @param keywords that it takes if all parts become groups
     * @param alone keywords that a group on it alone would take
     */
    public record FurtherWord(String theme, int keywords, int alone, Searched searches) {}

    /** A group, or {@link Grouping#UNGROUPED}, and how many keywords would come from it. */
    public record Source(int group, int keywords) {}

    /**
     * What a group on a theme would get.
     *
     * @param keywords that would come, rising
     * @param sources where they are now, the most first
     * @param staying keywords that have the words too but stay where a hand or a lock put them
     */
    public record Got(String theme, int[] keywords, Searched searches, List<Source> sources, int staying) {}

    /** Of more themes those of the highest rank are put in order. */
    private static final int MOST_ORDERED = 3_000;

    /** @param smallest keywords of a theme at least */
    Prospects(Groups groups, int smallest) {
        this.groups = groups;
        this.grouping = groups.grouping();
        this.words = grouping.words();
        this.having = words.rows().inverse(words.size());
        BitSet scope = new BitSet();
        for (int keyword = 0; keyword < words.rows().size(); keyword++) {
            scope.set(keyword, grouping.groupOf(keyword) != Grouping.OUTSIDE);
        }
        int[] keywords = scope.stream().toArray();
        long[] estimatedValue = new long[keywords.length];
        Arrays.fill(estimatedValue, 1);
        Pass first = grouping.themes().passes().getFirst();
        Candidates candidates = new Candidates(
                ScopeWords.of(words, keywords),
                estimatedValue,
                grouping.settings(),
                new Pass(smallest, Pass.ANY, Pass.ANY, 1, Pass.LONGEST, first.anyOrder(), 0),
                grouping.rules().mostWords());
        ObjectOpenCustomHashSet<int[]> known = new ObjectOpenCustomHashSet<>(IntArrays.HASH_STRATEGY);
        for (int group = 0; group < grouping.size(); group++) {
            known.add(sorted(grouping.themeWords(group)));
        }
        known.addAll(notClosed(candidates));
        for (int c = 0; c < candidates.size(); c++) {
            if (!known.contains(sorted(candidates.words(c)))) {
                unused.add(candidates.words(c));
            }
        }
    }

    /** Those that no more keywords have than one that has a word more. */
    private static List<int[]> notClosed(Candidates candidates) {
        it.unimi.dsi.fastutil.objects.Object2IntOpenCustomHashMap<int[]> most =
                new it.unimi.dsi.fastutil.objects.Object2IntOpenCustomHashMap<>(IntArrays.HASH_STRATEGY);
        for (int c = 0; c < candidates.size(); c++) {
            int[] theme = sorted(candidates.words(c));
            for (int without = 0; theme.length > 1 && without < theme.length; without++) {
                int[] shorter = new int[theme.length - 1];
                System.arraycopy(theme, 0, shorter, 0, without);
                System.arraycopy(theme, without + 1, shorter, without, shorter.length - without);
                most.mergeInt(shorter, candidates.members(c), Math::max);
            }
        }
        List<int[]> covered = new ArrayList<>();
        for (int c = 0; c < candidates.size(); c++) {
            int[] theme = sorted(candidates.words(c));
            if (most.getInt(theme) == candidates.members(c)) {
                covered.add(theme);
            }
        }
        return covered;
    }

    private static int[] sorted(int[] theme) {
        return Arrays.stream(theme).sorted().distinct().toArray();
    }

    /** How many there are. */
    public int size() {
        return unused.size();
    }

    /** Those that have the beginning of each of these words, in an order. */
    public List<Prospect> find(String containing, By by, int most) {
        Figure figure = by.figure;
        if (figure == null) {
            return find(containing, most);
        }
        return find(containing, MOST_ORDERED).stream()
                .sorted(Comparator.<Prospect>comparingLong(prospect -> -groups.sum(
                                figure, with(words.find(prospect.theme()).orElseThrow())))
                        .thenComparing(Prospect::theme))
                .limit(most)
                .toList();
    }

    /** Those that have the beginning of each of these words, the most frequent first. */
    public List<Prospect> find(String containing, int most) {
        String[] asked = Tidy.of(containing).split(" ");
        return unused.stream()
                .filter(theme -> Arrays.stream(asked).allMatch(start -> Arrays.stream(theme)
                        .anyMatch(word -> words.text(word).startsWith(start))))
                .limit(most)
                .map(theme -> {
                    BitSet in = with(theme);
                    return new Prospect(
                            words.text(words.asTheyStand(theme, in.stream().toArray())),
                            in.cardinality(),
                            groups.searches(in));
                })
                .toList();
    }

    /** The keywords grouped or left over that have all these words. */
    private BitSet with(int[] theme) {
        BitSet in = new BitSet();
        having.forEach(theme[0], in::set);
        for (int word : theme) {
            BitSet with = new BitSet();
            having.forEach(word, with::set);
            in.and(with);
        }
        in.stream()
                .filter(keyword -> grouping.groupOf(keyword) == Grouping.OUTSIDE)
                .forEach(in::clear);
        return in;
    }

    /** What a group on this theme would get; empty if the text has no words or one that no keyword has. */
    public Optional<Got> get(String theme) {
        return words.find(theme).filter(found -> found.length > 0).map(found -> {
            BitSet in = with(found);
            int all = in.cardinality();
            for (int keyword = in.nextSetBit(0); keyword >= 0; keyword = in.nextSetBit(keyword + 1)) {
                boolean stays = grouping.groupOf(keyword) >= 0
                        && (grouping.by(keyword) == Grouping.By.HAND || grouping.by(keyword) == Grouping.By.LOCK);
                in.set(keyword, !stays);
            }
            Map<Integer, Integer> from = new HashMap<>();
            in.stream().forEach(keyword -> from.merge(grouping.groupOf(keyword), 1, Integer::sum));
            return new Got(
                    theme,
                    in.stream().toArray(),
                    groups.searches(in),
                    from.entrySet().stream()
                            .map(entry -> new Source(entry.getKey(), entry.getValue()))
                            .sorted(Comparator.<Source>comparingInt(source -> -source.keywords())
                                    .thenComparingInt(Source::group))
                            .toList(),
                    all - in.cardinality());
        });
    }

    /** What the words beside those of a group's theme would make of its keywords, the largest first. */
    public List<FurtherWord> within(int group) {
        return parts(grouping.members().row(group), grouping.themeWords(group));
    }

    /** What further words would make of the keywords that have a theme, the largest first. */
    public List<FurtherWord> within(String theme) {
        return get(theme)
                .map(got -> parts(got.keywords(), words.find(theme).orElseThrow()))
                .orElse(List.of());
    }

    private List<FurtherWord> parts(int[] keywords, int[] shared) {
        // One word at a time: the next level is asked for by looking into a part.
        SplitBy by = new SplitBy(SMALLEST_PART, new TreeSet<>());
        return new Division(words, grouping.settings(), grouping.rules())
                .parts(keywords, shared, by, 1).stream()
                        .map(part -> {
                            BitSet in = new BitSet();
                            Arrays.stream(part.keywords()).forEach(in::set);
                            String theme = words.text(part.theme());
                            int alone =
                                    get(theme).map(got -> got.keywords().length).orElse(0);
                            return new FurtherWord(theme, part.keywords().length, alone, groups.searches(in));
                        })
                        .toList();
    }
}
