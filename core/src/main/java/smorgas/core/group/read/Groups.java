package smorgas.core.group.read;

import it.unimi.dsi.fastutil.ints.IntArrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import smorgas.core.column.FigureColumn;
import smorgas.core.column.RaggedInts;
import smorgas.core.figure.Figure;
import smorgas.core.figure.Searched;
import smorgas.core.fold.Keywords;
import smorgas.core.group.Grouping;

/**
 * Groups as the researcher sees them: with their searches and names, most searched first, then largest, then by key;
 * cannot change. {@link #order()} gives the numbers of the {@link Grouping} in that order.
 */
public final class Groups {

    /** What stands for the bid, of those that some basket tells the first. */
    private static final List<Figure> BIDS = List.of(Figure.HIGH_BID, Figure.CPC, Figure.LOW_BID);

    private final Keywords keywords;
    private final Grouping grouping;
    private final Optional<FigureColumn> column;
    private final Optional<FigureColumn> bids;
    private final Searched[] searches;
    private final int[] order;
    private final Searched ungroupedSearches;
    private final String[] names;
    private final Map<String, Integer> byKey = new HashMap<>();
    private @Nullable Explained explained;
    private volatile @Nullable List<Doubts.Doubt> doubts;
    private @Nullable ThemeTree tree;
    private @Nullable Prospects prospects;
    private @Nullable Prospects smaller;
    private Explained.@Nullable Figures figures;

    /**
     * Adds the figures and names.
     *
     * @param column searches of every keyword; empty if no basket has them
     * @param given names that a hand gave, by key
     */
    public Groups(Grouping grouping, Keywords keywords, Optional<FigureColumn> column, Map<String, String> given) {
        this.grouping = grouping;
        this.keywords = keywords;
        this.column = column;
        this.bids = BIDS.stream()
                .flatMap(figure -> keywords.figure(figure).stream())
                .findFirst();
        this.searches = new Searched[grouping.size()];
        long[] twice = new long[grouping.size()];
        BitSet made = new BitSet(grouping.size());
        long left = 0;
        boolean leftMade = false;
        if (column.isPresent()) {
            FigureColumn known = column.get();
            for (int keyword = 0; keyword < known.size(); keyword++) {
                int group = grouping.groupOf(keyword);
                if (group != Grouping.OUTSIDE && known.known(keyword)) {
                    if (group == Grouping.UNGROUPED) {
                        left += known.twiceMiddle(keyword);
                        leftMade |= known.simulated(keyword);
                    } else {
                        twice[group] += known.twiceMiddle(keyword);
                        made.set(group, made.get(group) || known.simulated(keyword));
                    }
                }
            }
        }
        for (int group = 0; group < searches.length; group++) {
            searches[group] = new Searched(twice[group] / 2, made.get(group));
            byKey.put(grouping.key(group), group);
        }
        this.ungroupedSearches = new Searched(left / 2, leftMade);
        this.order = mostSearchedFirst();
        this.names = names(keywords, column, given);
    }

    private int[] mostSearchedFirst() {
        int[] ordered = IntStream.range(0, grouping.size()).toArray();
        IntArrays.quickSort(ordered, (a, b) -> {
            int bySearches = Long.compare(searches[b].sum(), searches[a].sum());
            if (bySearches != 0) {
                return bySearches;
            }
            int bySize = Integer.compare(
                    grouping.members().length(b), grouping.members().length(a));
            return bySize != 0 ? bySize : Integer.compare(a, b);
        });
        return ordered;
    }

    /** Distinct whatever their case: of two that would have one name the one that comes later gets a number. */
    private String[] names(Keywords keywords, Optional<FigureColumn> column, Map<String, String> given) {
        String[] named = new String[grouping.size()];
        Set<String> used = new HashSet<>();
        for (int group : order) {
            String name = given.getOrDefault(grouping.key(group), "");
            if (name.isEmpty()) {
                name = asMostSearched(group, keywords, column);
            }
            String distinct = name;
            for (int number = 2; !used.add(distinct.toLowerCase(Locale.ROOT)); number++) {
                distinct = name + " " + number;
            }
            named[group] = distinct;
        }
        return named;
    }

    /** The theme as the most searched of those members write it that have all its words; else the key. */
    private String asMostSearched(int group, Keywords keywords, Optional<FigureColumn> column) {
        if (!grouping.settings().method().byWords()) {
            // It goes by one of its keywords, and is called as that is written.
            return keywords.find(grouping.key(group))
                    .filter(keyword ->
                            grouping.kind(group) == Grouping.Kind.THEME && grouping.groupOf(keyword) == group)
                    .map(keywords::text)
                    .orElse(grouping.key(group));
        }
        int best = -1;
        long most = -1;
        for (int i = 0; i < grouping.members().length(group); i++) {
            int keyword = grouping.members().get(group, i);
            long searched = column.isPresent() && column.get().known(keyword)
                    ? column.get().twiceMiddle(keyword)
                    : 0;
            boolean better = searched > most
                    || searched == most && keywords.text(keyword).compareTo(keywords.text(best)) < 0;
            if (grouping.by(keyword) == Grouping.By.THEME && better) {
                best = keyword;
                most = searched;
            }
        }
        return best < 0 || grouping.kind(group) != Grouping.Kind.THEME
                ? grouping.key(group)
                : ThemeMarks.written(grouping, group, keywords.text(best)).orElse(grouping.key(group));
    }

    /** What is grouped. */
    public Keywords all() {
        return keywords;
    }

    public Grouping grouping() {
        return grouping;
    }

    /** The numbers of the groups, most searched first. */
    public int[] order() {
        return order.clone();
    }

    /** What a group is called: what a hand named it, or its theme as its most searched keyword writes it; distinct. */
    public String name(int group) {
        return names[group];
    }

    /** Known searches a month of a group's keywords. */
    public Searched searches(int group) {
        return searches[group];
    }

    /** Known searches a month of a keyword, a range by its middle; 0 if none is known. */
    public long searched(int keyword) {
        return column.filter(known -> known.known(keyword))
                .map(known -> known.twiceMiddle(keyword) / 2)
                .orElse(0L);
    }

    public Searched ungroupedSearches() {
        return ungroupedSearches;
    }

    /**
     * The mean bid of those of a group's keywords of which one is known and not made up, ranges by their middle, in its parts;
     * else empty.
     */
    public OptionalDouble bid(int group) {
        RaggedInts members = grouping.members();
        double twice = 0;
        int known = 0;
        for (int i = 0; bids.isPresent() && i < members.length(group); i++) {
            int keyword = members.get(group, i);
            if (bids.get().known(keyword) && !bids.get().simulated(keyword)) {
                twice += bids.get().twiceMiddle(keyword);
                known++;
            }
        }
        return known == 0 ? OptionalDouble.empty() : OptionalDouble.of(twice / 2 / known);
    }

    /** How many keywords a group has. */
    public int keywords(int group) {
        return grouping.members().length(group);
    }

    /** Why keywords are where they are. */
    public synchronized Explained explained() {
        Explained known = explained == null ? new Explained(this) : explained;
        explained = known;
        return known;
    }

    /** What most needs a look, the weightiest first, worked out when first asked for. */
    public synchronized List<Doubts.Doubt> doubts() {
        List<Doubts.Doubt> known = doubts == null ? Doubts.of(this) : doubts;
        doubts = known;
        return known;
    }

    /** Whether {@link #doubts()} would answer at once. */
    public boolean doubtsKnown() {
        return doubts != null;
    }

    /** How groups belong to broader themes, worked out when first asked for. */
    public synchronized ThemeTree tree() {
        ThemeTree known = tree == null ? ThemeTree.of(this) : tree;
        tree = known;
        return known;
    }

    /** The themes on which no group formed, worked out when first asked for. */
    public synchronized Prospects prospects() {
        Prospects known = prospects == null
                ? new Prospects(this, grouping.themes().passes().getFirst().smallest())
                : prospects;
        prospects = known;
        return known;
    }

    /** Known searches of some keywords. */
    Searched searches(BitSet some) {
        return column.map(known -> Searched.of(some, known)).orElse(Searched.NOTHING);
    }

    /** The figures of the whole, worked out when first asked for. */
    public synchronized Explained.Figures figures() {
        Explained.Figures known = figures == null ? explained().figures() : figures;
        figures = known;
        return known;
    }

    /** The number of the group with this key; -1 if there is none today. */
    public int find(String key) {
        return byKey.getOrDefault(key, -1);
    }

    /** The number of the group that is called so or has this key, whatever the case; -1 if there is none today. */
    public int called(String name) {
        for (int group : order) {
            if (names[group].equalsIgnoreCase(name)) {
                return group;
            }
        }
        return find(name);
    }

    /** The text of a keyword cut where words of its group's theme begin and end. */
    public List<ThemeMarks.Mark> marks(int group, String text) {
        return ThemeMarks.of(grouping, group, text);
    }

    /** Themes on which no group formed, those that only two keywords have too. */
    public synchronized Prospects smallerProspects() {
        Prospects known = smaller == null ? new Prospects(this, 2) : smaller;
        smaller = known;
        return known;
    }

    /** The known parts of a figure of these keywords together, ranges by their middle. */
    long sum(Figure figure, BitSet some) {
        FigureColumn of = keywords.figure(figure).orElse(null);
        return of == null
                ? 0
                : some.stream().filter(of::known).mapToLong(of::twiceMiddle).sum() / 2;
    }

    /** Whether these are groups of the very same keywords: only then a number of one means the same in both. */
    boolean ofSameKeywords(Groups other) {
        return keywords == other.keywords
                || keywords.size() == other.keywords.size()
                        && IntStream.range(0, keywords.size())
                                .allMatch(keyword -> keywords.text(keyword).equals(other.keywords.text(keyword)));
    }
}
