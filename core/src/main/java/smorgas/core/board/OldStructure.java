package smorgas.core.board;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.ToLongFunction;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.LongStream;
import smorgas.core.column.ColumnRole;
import smorgas.core.column.Figure;
import smorgas.core.column.TextColumn;
import smorgas.core.gather.Lines;
import smorgas.core.group.Grouping;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.MatchType;
import smorgas.core.serve.Csv;
import smorgas.core.serve.PlanRecord;
import smorgas.core.text.Formulas;
import smorgas.core.text.Tidy;
import smorgas.core.value.Reported;

/**
 * The ad groups of a campaign that runs, beside the project's groups: which stay, which join with others, which are split, which
 * end. Rows that are negatives, paused or removed are no part of it.
 */
public final class OldStructure {

    private static final Set<String> NOT_RUNNING = Set.of("paused", "removed", "deleted", "ended", "disabled");

    /** What becomes of an ad group. */
    public enum Fate {
        /** All of it is one group, and nothing from elsewhere in the campaign is. */
        STAYS("stays", "stay"),
        /** All of it is in one group together with others. */
        JOINS("joins others", "join others"),
        SPLITS("is split", "are split"),
        /** None of its keywords is in a group: they are dropped, left over or not in the project. */
        ENDS("ends", "end");

        private final String label;
        private final String many;

        Fate(String label, String many) {
            this.label = label;
            this.many = many;
        }

        /** To follow how many of them have it. */
        public String label(long count) {
            return count == 1 ? label : many;
        }

        public String label() {
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
    public record Twice(String keyword, List<String> places) {}

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

    /**
     * A row that runs.
     *
     * @param keyword its number in the project; -1 if it is not there
     * @param into the number of the group that it is in; -1 if it is in none
     * @param bid in millionths of the currency; 0 if not told
     * @param quality from 1 to 10; 0 if not told
     */
    private record Row(
            String campaign,
            String group,
            String text,
            int keyword,
            int into,
            String type,
            long bid,
            long quality,
            String page,
            String ad,
            Reported sums) {}

    private final Board board;
    private final List<OldGroup> groups = new ArrayList<>();
    private final List<Twice> twice = new ArrayList<>();
    private final List<String> withoutExact;
    private final boolean tellsTypes;
    private final Map<Integer, Heir> heirs = new HashMap<>();
    private final BitSet bidOn = new BitSet();
    private final PlanRecord record;

    private OldStructure(Board board, List<Row> rows, boolean tellsTypes) {
        this.tellsTypes = tellsTypes;
        this.board = board;
        Map<String, List<Row>> byGroup = new LinkedHashMap<>();
        rows.forEach(row ->
                byGroup.computeIfAbsent(place(row), none -> new ArrayList<>()).add(row));
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
        this.record = record(byGroup);
    }

    /** Of one or several lists that tell ad groups; empty if they tell none. */
    public static Optional<OldStructure> of(Board board, List<Lines> lists) {
        List<Row> rows = new ArrayList<>();
        lists.forEach(lines -> add(board, lines, rows));
        return rows.isEmpty()
                ? Optional.empty()
                : Optional.of(new OldStructure(
                        board,
                        rows,
                        lists.stream()
                                .flatMap(lines -> lines.texts(ColumnRole.MATCH_TYPE).stream())
                                .anyMatch(TextColumn::tells)));
    }

    private static void add(Board board, Lines lines, List<Row> rows) {
        Grouping grouping = board.groups().grouping();
        for (int at = 0; at < lines.size(); at++) {
            String group = cell(lines, ColumnRole.AD_GROUP, at);
            String type = cell(lines, ColumnRole.MATCH_TYPE, at).toLowerCase(Locale.ROOT);
            String status = cell(lines, ColumnRole.STATUS, at).toLowerCase(Locale.ROOT);
            String text = Tidy.of(lines.text(at));
            if (!group.isEmpty()
                    && !text.isEmpty()
                    && !type.contains("negative")
                    && !NOT_RUNNING.contains(status)
                    && !Formulas.runs(group)) {
                int keyword = board.keywords().meant(text).orElse(-1);
                rows.add(new Row(
                        cell(lines, ColumnRole.CAMPAIGN, at),
                        group,
                        text,
                        keyword,
                        keyword < 0 ? -1 : Math.max(-1, grouping.groupOf(keyword)),
                        type(type),
                        Reported.number(lines, Figure.CPC, at),
                        Reported.number(lines, Figure.QUALITY, at),
                        cell(lines, ColumnRole.LANDING_PAGE, at),
                        cell(lines, ColumnRole.HEADLINE, at),
                        Reported.of(lines, at)));
            }
        }
    }

    /** As plans write it; broad where a report does not tell, which is what platforms take it for (common practice). */
    private static String type(String told) {
        return told.contains("exact")
                ? MatchType.EXACT.label()
                : told.contains("phrase") ? MatchType.PHRASE.label() : MatchType.BROAD.label();
    }

    private static String cell(Lines lines, ColumnRole role, int at) {
        List<TextColumn> columns = lines.texts(role);
        return columns.isEmpty() ? "" : columns.getFirst().text(at).strip();
    }

    private static String place(Row row) {
        return row.campaign() + "\n" + row.group();
    }

    private OldGroup old(List<Row> rows, Map<Integer, Set<String>> sources) {
        Map<String, Row> texts = new LinkedHashMap<>();
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
                                .mapToInt(Row::keyword)
                                .filter(keyword -> keyword >= 0)
                                .toArray()),
                mean(rows.stream().mapToLong(Row::bid)),
                mean(rows.stream().mapToLong(Row::quality)));
    }

    /** Of those that are told. */
    private static OptionalDouble mean(LongStream all) {
        return all.filter(one -> one > 0).average();
    }

    private static Reported sum(Collection<Row> rows) {
        return rows.stream().map(Row::sums).reduce(Reported.NOTHING, Reported::and);
    }

    private static List<String> withoutExact(List<Row> rows) {
        Set<String> exact = rows.stream()
                .filter(row -> row.type().equals(MatchType.EXACT.label()))
                .map(Row::text)
                .collect(Collectors.toSet());
        return rows.stream()
                .map(Row::text)
                .filter(text -> !exact.contains(text))
                .distinct()
                .toList();
    }

    private void twice(List<Row> rows) {
        Map<Integer, Map<String, String>> places = new TreeMap<>();
        for (Row row : rows) {
            if (row.keyword() >= 0) {
                String lead = board.keywords().text(row.keyword());
                places.computeIfAbsent(row.keyword(), none -> new LinkedHashMap<>())
                        .putIfAbsent(
                                place(row),
                                (row.campaign().isEmpty() ? "" : row.campaign() + " / ")
                                        + row.group()
                                        + (row.text().equals(lead) ? "" : " as " + row.text()));
            }
        }
        places.forEach((keyword, where) -> {
            if (where.size() > 1) {
                twice.add(new Twice(board.keywords().text(keyword), List.copyOf(where.values())));
            }
        });
    }

    private void heirs(List<Row> rows, Map<Integer, Set<String>> sources) {
        Map<Integer, List<Row>> byNew = new HashMap<>();
        rows.stream().filter(row -> row.into() >= 0).forEach(row -> byNew.computeIfAbsent(
                        row.into(), none -> new ArrayList<>())
                .add(row));
        byNew.forEach((group, of) -> heirs.put(
                group,
                new Heir(
                        sum(of),
                        of.stream()
                                .map(Row::page)
                                .filter(page -> !page.isEmpty())
                                .collect(Collectors.groupingBy(page -> page, TreeMap::new, Collectors.counting()))
                                .entrySet()
                                .stream()
                                .max(Map.Entry.comparingByValue())
                                .map(Map.Entry::getKey)
                                .orElse(""),
                        bestAd(of),
                        sources.get(group).size(),
                        mean(of.stream().mapToLong(Row::bid)),
                        mean(of.stream().mapToLong(Row::quality)))));
    }

    private static String bestAd(List<Row> rows) {
        Map<String, Reported> ads = new TreeMap<>();
        rows.stream().filter(row -> !row.ad().isEmpty()).forEach(row -> ads.merge(row.ad(), row.sums(), Reported::and));
        return ads.entrySet().stream()
                .filter(ad -> ad.getValue().tells())
                .min(Map.Entry.comparingByValue(Reported.BEST_AD))
                .map(Map.Entry::getKey)
                .orElse("");
    }

    private static PlanRecord record(Map<String, List<Row>> byGroup) {
        List<PlanRecord.Row> all = new ArrayList<>();
        byGroup.values()
                .forEach(of -> all.add(row(
                        PlanRecord.Kind.AD_GROUP,
                        of.getFirst(),
                        "",
                        "",
                        "",
                        of.getFirst().page())));
        byGroup.values().stream()
                .flatMap(List::stream)
                .filter(row -> !Formulas.runs(row.text()))
                .forEach(row -> all.add(row(
                        PlanRecord.Kind.KEYWORD,
                        row,
                        row.text(),
                        row.type(),
                        row.bid() == 0 ? "" : Csv.amount(row.bid(), Figure.CPC.scale()),
                        row.page())));
        return new PlanRecord(all);
    }

    private static PlanRecord.Row row(PlanRecord.Kind kind, Row of, String text, String type, String bid, String page) {
        return new PlanRecord.Row(kind, of.campaign(), of.group(), text, type, bid, page, "");
    }

    /** By what ad groups are put in order, the most first. */
    public enum By {
        KEYWORDS("keywords", group -> group.keywords().size()),
        CLICKS("clicks", group -> group.sums().clicks()),
        CONVERSIONS("conversions", group -> group.sums().conversions()),
        COST("cost", group -> group.sums().cost());

        private final String word;
        private final ToLongFunction<OldGroup> amount;

        By(String word, ToLongFunction<OldGroup> amount) {
            this.word = word;
            this.amount = amount;
        }

        public String word() {
            return word;
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
    public List<Twice> twice() {
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

    /** What runs, as a plan that was served. */
    public PlanRecord record() {
        return record;
    }
}
