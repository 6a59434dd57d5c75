package smorgas.core.board;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.ToLongFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import smorgas.core.column.TextColumn;
import smorgas.core.figure.ColumnRole;
import smorgas.core.gather.Lines;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.serve.PlanRecord;
import smorgas.core.text.Message;
import smorgas.core.value.Reported;

/**
 * The ad groups of a campaign that runs, beside the project's groups: which stay, which join with others, which are split, which
 * end. Rows that are negatives, paused or removed are no part of it.
 */
public final class OldStructure {

    /** What becomes of an ad group. */
    public enum Fate {
        /** All of it is one group, and nothing from elsewhere in the campaign is. */
        STAYS("fate.stays", "fate.stays.many"),
        /** All of it is in one group together with others. */
        JOINS("fate.joins", "fate.joins.many"),
        SPLITS("fate.splits", "fate.splits.many"),
        /** None of its keywords is in a group: they are dropped, left over or not in the project. */
        ENDS("fate.ends", "fate.ends.many");

        private final Message label;
        private final Message many;

        Fate(String label, String many) {
            this.label = Message.of(label);
            this.many = Message.of(many);
        }

        /** To follow how many of them have it. */
        public Message label(long count) {
            return count == 1 ? label : many;
        }

        public Message label() {
            return label;
        }
    }

    /**
     * An ad group of the campaign.
     *
     * @param keywords the distinct tidy texts of its rows
     * @param into by the number of a new group, which of its keywords go there; most first
     * @param elsewhere keywords of it that go into no group
     * @param mixed whether it mixes those who want to know with those who want to buy
     * @param bid the mean of those of its rows that tell one, in millionths of the currency
     * @param quality the mean of the quality scores of its rows, from 1 to 10
     */
    public record OldGroup(
            String campaign,
            String name,
            List<String> keywords,
            Map<Integer, List<String>> into,
            List<String> elsewhere,
            Fate fate,
            Reported sums,
            boolean mixed,
            OptionalDouble bid,
            OptionalDouble quality) {}

    /**
     * A keyword that more than one ad group bids on, by the same meaning.
     *
     * @param places campaign and ad group, with the spelling there
     */
    public record InSeveral(String keyword, List<Message> places) {}

    /**
     * What a new group takes over.
     *
     * @param page that most of its rows lead to; empty if they tell none
     * @param ad the first headline of the best of its ads, by conversions, then by click-through, of those that were shown often
     *     enough to tell; empty if there is none
     * @param bid the mean bid of its rows, in millionths of the currency
     * @param quality the mean quality score of its rows, which is not carried over
     */
    public record Heir(
            Reported sums, String page, String ad, int oldGroups, OptionalDouble bid, OptionalDouble quality) {}

    private final Board board;
    private final List<OldGroup> groups = new ArrayList<>();
    private final List<InSeveral> twice = new ArrayList<>();
    private final List<String> withoutExact;
    private final boolean tellsTypes;
    private final Map<Integer, Heir> heirs = new HashMap<>();
    private final BitSet bidOn = new BitSet();
    private final PlanRecord record;

    private OldStructure(Board board, List<OldRow> rows, boolean tellsTypes) {
        this.tellsTypes = tellsTypes;
        this.board = board;
        Map<String, List<OldRow>> byGroup = new LinkedHashMap<>();
        rows.forEach(row ->
                byGroup.computeIfAbsent(row.place(), none -> new ArrayList<>()).add(row));
        Map<Integer, Set<String>> sources = new HashMap<>();
        byGroup.forEach(
                (place, of) -> of.stream().filter(row -> row.into() >= 0).forEach(row -> sources.computeIfAbsent(
                                row.into(), none -> new HashSet<>())
                        .add(place)));
        byGroup.forEach((place, of) -> groups.add(old(of, sources)));
        groups.sort(Comparator.comparingInt((OldGroup one) -> -one.keywords().size())
                .thenComparing(OldGroup::campaign)
                .thenComparing(OldGroup::name));
        this.withoutExact = tellsTypes ? withoutExact(rows) : List.of();
        twice(rows);
        heirs(rows, sources);
        rows.stream().filter(row -> row.keyword() >= 0).forEach(row -> bidOn.set(row.keyword()));
        this.record = OldRow.plan(byGroup);
    }

    /** Of one or several lists that tell ad groups; empty if they tell none. */
    public static Optional<OldStructure> of(Board board, List<Lines> lists) {
        List<OldRow> rows = OldRow.of(board, lists);
        return rows.isEmpty()
                ? Optional.empty()
                : Optional.of(new OldStructure(
                        board,
                        rows,
                        lists.stream()
                                .flatMap(lines -> lines.texts(ColumnRole.MATCH_TYPE).stream())
                                .anyMatch(TextColumn::tells)));
    }

    private OldGroup old(List<OldRow> rows, Map<Integer, Set<String>> sources) {
        Map<String, OldRow> texts = new LinkedHashMap<>();
        rows.forEach(row -> texts.putIfAbsent(row.text(), row));
        Map<Integer, List<String>> parts = new TreeMap<>();
        texts.forEach((text, row) ->
                parts.computeIfAbsent(row.into(), none -> new ArrayList<>()).add(text));
        List<String> elsewhere = parts.getOrDefault(-1, List.of());
        parts.remove(-1);
        Map<Integer, List<String>> into = parts.entrySet().stream()
                .sorted(Comparator.comparingInt(part -> -part.getValue().size()))
                .collect(Collectors.toMap(
                        Map.Entry::getKey, Map.Entry::getValue, (one, other) -> one, LinkedHashMap::new));
        Fate fate = into.isEmpty()
                ? Fate.ENDS
                : into.size() > 1
                        ? Fate.SPLITS
                        : sources.get(into.keySet().iterator().next()).size() > 1 ? Fate.JOINS : Fate.STAYS;
        return new OldGroup(
                rows.getFirst().campaign(),
                rows.getFirst().group(),
                List.copyOf(texts.keySet()),
                into,
                elsewhere,
                fate,
                sum(rows),
                board.intents()
                        .mixed(texts.values().stream()
                                .mapToInt(OldRow::keyword)
                                .filter(keyword -> keyword >= 0)
                                .toArray()),
                mean(rows.stream().mapToLong(OldRow::bid)),
                mean(rows.stream().mapToLong(OldRow::quality)));
    }

    /** Of those that are told. */
    private static OptionalDouble mean(LongStream all) {
        return all.filter(one -> one > 0).average();
    }

    private static Reported sum(Collection<OldRow> rows) {
        return rows.stream().map(OldRow::sums).reduce(Reported.NOTHING, Reported::and);
    }

    private static List<String> withoutExact(List<OldRow> rows) {
        Set<String> exact = rows.stream()
                .filter(row -> row.type().equals(MatchType.EXACT.fixedName()))
                .map(OldRow::text)
                .collect(Collectors.toSet());
        return rows.stream()
                .map(OldRow::text)
                .filter(text -> !exact.contains(text))
                .distinct()
                .toList();
    }

    private void twice(List<OldRow> rows) {
        Map<Integer, Map<String, Message>> places = new TreeMap<>();
        for (OldRow row : rows) {
            if (row.keyword() >= 0) {
                String lead = board.keywords().text(row.keyword());
                places.computeIfAbsent(row.keyword(), none -> new LinkedHashMap<>())
                        .putIfAbsent(
                                row.place(),
                                row.text().equals(lead)
                                        ? Message.verbatim(where(row))
                                        : Message.of("board.old-structure.as", where(row), row.text()));
            }
        }
        places.forEach((keyword, where) -> {
            if (where.size() > 1) {
                twice.add(new InSeveral(board.keywords().text(keyword), List.copyOf(where.values())));
            }
        });
    }

    private static String where(OldRow row) {
        return row.campaign().isEmpty() ? row.group() : row.campaign() + " / " + row.group();
    }

    private void heirs(List<OldRow> rows, Map<Integer, Set<String>> sources) {
        Map<Integer, List<OldRow>> byNew = new HashMap<>();
        rows.stream().filter(row -> row.into() >= 0).forEach(row -> byNew.computeIfAbsent(
                        row.into(), none -> new ArrayList<>())
                .add(row));
        byNew.forEach((group, of) -> heirs.put(
                group,
                new Heir(
                        sum(of),
                        of.stream()
                                .map(OldRow::page)
                                .filter(page -> !page.isEmpty())
                                .collect(Collectors.groupingBy(page -> page, TreeMap::new, Collectors.counting()))
                                .entrySet()
                                .stream()
                                .max(Map.Entry.comparingByValue())
                                .map(Map.Entry::getKey)
                                .orElse(""),
                        bestAd(of),
                        sources.get(group).size(),
                        mean(of.stream().mapToLong(OldRow::bid)),
                        mean(of.stream().mapToLong(OldRow::quality)))));
    }

    private String bestAd(List<OldRow> rows) {
        Map<String, Reported> ads = new TreeMap<>();
        rows.stream().filter(row -> !row.ad().isEmpty()).forEach(row -> ads.merge(row.ad(), row.sums(), Reported::and));
        int enough = board.recipe().rules().plan().enoughImpressions();
        return ads.entrySet().stream()
                .filter(ad -> ad.getValue().tells(enough))
                .min(Map.Entry.comparingByValue(Reported.bestAd(enough)))
                .map(Map.Entry::getKey)
                .orElse("");
    }

    /** By what ad groups are put in order, the most first. */
    public enum By {
        KEYWORDS("keywords", group -> group.keywords().size()),
        CLICKS("clicks", group -> group.sums().clicks()),
        CONVERSIONS("conversions", group -> group.sums().conversions()),
        COST("cost", group -> group.sums().cost());

        private final String key;
        private final ToLongFunction<OldGroup> amount;

        By(String key, ToLongFunction<OldGroup> amount) {
            this.key = key;
            this.amount = amount;
        }

        public String key() {
            return key;
        }
    }

    /** Where its ad groups stand in {@link #groups()}, in another order. */
    public List<Integer> order(By by) {
        return IntStream.range(0, groups.size())
                .boxed()
                .sorted(Comparator.comparingLong(place -> -by.amount.applyAsLong(groups.get(place))))
                .toList();
    }

    /** Its ad groups, the largest first. */
    public List<OldGroup> groups() {
        return List.copyOf(groups);
    }

    /** How many ad groups have a fate. */
    public long count(Fate fate) {
        return groups.stream().filter(group -> group.fate() == fate).count();
    }

    /** Keywords that are bid on in several ad groups and so compete with each other. */
    public List<InSeveral> twice() {
        return List.copyOf(twice);
    }

    /** Whether its list tells match types. */
    public boolean tellsTypes() {
        return tellsTypes;
    }

    /** Keywords of the campaign that no row bids on with exact match; none if the list tells no match types. */
    public List<String> withoutExact() {
        return withoutExact;
    }

    /** What a new group takes over; empty if nothing of the campaign is in it. */
    public Optional<Heir> heir(int group) {
        return Optional.ofNullable(heirs.get(group));
    }

    /** The groups that take over nothing: the campaign had none of their keywords. */
    public BitSet fresh() {
        Groups all = board.groups();
        BitSet fresh = new BitSet();
        for (int group = 0; group < all.grouping().size(); group++) {
            fresh.set(group, !heirs.containsKey(group));
        }
        return fresh;
    }

    /** The keywords of the project that it bids on. */
    public BitSet bidOn() {
        return (BitSet) bidOn.clone();
    }

    /** What runs, as a plan that was exported. */
    public PlanRecord record() {
        return record;
    }
}
