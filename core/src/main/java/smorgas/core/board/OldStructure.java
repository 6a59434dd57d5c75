package smorgas.core.board;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import smorgas.core.column.ColumnRole;
import smorgas.core.column.Figure;
import smorgas.core.column.FigureColumn;
import smorgas.core.column.TextColumn;
import smorgas.core.gather.Lines;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.MatchType;
import smorgas.core.serve.Csv;
import smorgas.core.serve.PlanRecord;
import smorgas.core.text.Formulas;
import smorgas.core.text.Tidy;

/**
 * The ad groups of a campaign that runs, beside the project's groups: which stay, which join with others, which are split, which
 * end. Rows that are negatives, paused or removed are no part of it.
 */
public final class OldStructure {

    private static final Set<String> NOT_RUNNING = Set.of("paused", "removed", "deleted", "ended", "disabled");

    /** Shown more rarely, an ad tells nothing (common practice). */
    private static final int ENOUGH_IMPRESSIONS = 100;

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

    /** What rows of a campaign report tell together; conversions in hundredths, cost in millionths of the currency. */
    public record Sums(long clicks, long impressions, long cost, long conversions) {
        static final Sums NONE = new Sums(0, 0, 0, 0);

        Sums and(Sums other) {
            return new Sums(
                    clicks + other.clicks,
                    impressions + other.impressions,
                    cost + other.cost,
                    conversions + other.conversions);
        }
    }

    /**
     * An ad group of the campaign.
     *
     * @param keywords the distinct tidy texts of its rows
     * @param into by the number of a new group, how many of its keywords go there; most first
     * @param elsewhere keywords of it that go into no group
     */
    public record OldGroup(
            String campaign,
            String name,
            List<String> keywords,
            Map<Integer, Integer> into,
            List<String> elsewhere,
            Fate fate,
            Sums sums) {}

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
     */
    public record Heir(Sums sums, String page, String ad, int oldGroups) {}

    private record Row(
            String campaign, String group, String text, String type, String bid, String page, String ad, Sums sums) {}

    private final Board board;
    private final List<OldGroup> groups = new ArrayList<>();
    private final List<Twice> twice = new ArrayList<>();
    private final List<String> withoutExact;
    private final boolean tellsTypes;
    private final Map<Integer, Heir> heirs = new HashMap<>();
    private final PlanRecord record;

    private OldStructure(Board board, List<Row> rows, boolean tellsTypes) {
        this.tellsTypes = tellsTypes;
        this.board = board;
        Map<String, List<Row>> byGroup = new LinkedHashMap<>();
        rows.forEach(row ->
                byGroup.computeIfAbsent(place(row), none -> new ArrayList<>()).add(row));
        Map<Integer, Set<String>> sources = new HashMap<>();
        byGroup.forEach((place, of) -> of.forEach(
                row -> groupOf(row.text()).ifPresent(group -> sources.computeIfAbsent(group, none -> new HashSet<>())
                        .add(place))));
        byGroup.forEach((place, of) -> groups.add(old(of, sources)));
        groups.sort(Comparator.comparingInt((OldGroup one) -> -one.keywords().size())
                .thenComparing(OldGroup::campaign)
                .thenComparing(OldGroup::name));
        this.withoutExact = tellsTypes ? withoutExact(rows) : List.of();
        twice(rows);
        heirs(rows, sources);
        this.record = record(byGroup);
    }

    /** Of a list that tells ad groups; empty if it tells none. */
    public static Optional<OldStructure> of(Board board, Lines lines) {
        List<Row> rows = rows(lines);
        return rows.isEmpty()
                ? Optional.empty()
                : Optional.of(new OldStructure(
                        board, rows, lines.texts(ColumnRole.MATCH_TYPE).stream().anyMatch(TextColumn::tells)));
    }

    private static List<Row> rows(Lines lines) {
        List<Row> rows = new ArrayList<>();
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
                FigureColumn bid = lines.figure(Figure.CPC).orElse(null);
                rows.add(new Row(
                        cell(lines, ColumnRole.CAMPAIGN, at),
                        group,
                        text,
                        type(type),
                        bid == null || !bid.known(at) ? "" : Csv.amount(bid.twiceMiddle(at) / 2, Figure.CPC.scale()),
                        cell(lines, ColumnRole.LANDING_PAGE, at),
                        cell(lines, ColumnRole.HEADLINE, at),
                        new Sums(
                                number(lines, Figure.CLICKS, at),
                                number(lines, Figure.IMPRESSIONS, at),
                                number(lines, Figure.COST, at),
                                number(lines, Figure.CONVERSIONS, at))));
            }
        }
        return rows;
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

    static long number(Lines lines, Figure figure, int at) {
        return lines.figure(figure)
                .filter(column -> column.known(at))
                .map(column -> column.twiceMiddle(at) / 2)
                .orElse(0L);
    }

    private static String place(Row row) {
        return row.campaign() + "\n" + row.group();
    }

    /** The number of the group that a keyword of the campaign is in; empty if it is in none. */
    public Optional<Integer> groupOf(String text) {
        return board.keywords()
                .meant(text)
                .map(keyword -> board.groups().grouping().groupOf(keyword))
                .filter(group -> group >= 0);
    }

    private OldGroup old(List<Row> rows, Map<Integer, Set<String>> sources) {
        Set<String> texts = rows.stream().map(Row::text).collect(Collectors.toCollection(LinkedHashSet::new));
        Map<Integer, Integer> counts = new TreeMap<>();
        List<String> elsewhere = new ArrayList<>();
        for (String text : texts) {
            groupOf(text).ifPresentOrElse(group -> counts.merge(group, 1, Integer::sum), () -> elsewhere.add(text));
        }
        Map<Integer, Integer> into = counts.entrySet().stream()
                .sorted(Map.Entry.<Integer, Integer>comparingByValue().reversed())
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
                List.copyOf(texts),
                into,
                elsewhere,
                fate,
                sum(rows));
    }

    private static Sums sum(Collection<Row> rows) {
        return rows.stream().map(Row::sums).reduce(Sums.NONE, Sums::and);
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
            board.keywords().meant(row.text()).ifPresent(keyword -> places.computeIfAbsent(
                            keyword, none -> new LinkedHashMap<>())
                    .putIfAbsent(
                            place(row),
                            (row.campaign().isEmpty() ? "" : row.campaign() + " / ")
                                    + row.group()
                                    + (row.text().equals(board.keywords().text(keyword)) ? "" : " as " + row.text())));
        }
        places.forEach((keyword, where) -> {
            if (where.size() > 1) {
                twice.add(new Twice(board.keywords().text(keyword), List.copyOf(where.values())));
            }
        });
    }

    private void heirs(List<Row> rows, Map<Integer, Set<String>> sources) {
        Map<Integer, List<Row>> byNew = new HashMap<>();
        rows.forEach(
                row -> groupOf(row.text()).ifPresent(group -> byNew.computeIfAbsent(group, none -> new ArrayList<>())
                        .add(row)));
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
                        sources.get(group).size())));
    }

    private static String bestAd(List<Row> rows) {
        Map<String, Sums> ads = new TreeMap<>();
        rows.stream().filter(row -> !row.ad().isEmpty()).forEach(row -> ads.merge(row.ad(), row.sums(), Sums::and));
        return ads.entrySet().stream()
                .filter(ad -> ad.getValue().impressions() >= ENOUGH_IMPRESSIONS)
                .max(Comparator.comparingLong(
                                (Map.Entry<String, Sums> ad) -> ad.getValue().conversions())
                        .thenComparingDouble(ad ->
                                ad.getValue().clicks() / (double) ad.getValue().impressions()))
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
                .forEach(row ->
                        all.add(row(PlanRecord.Kind.KEYWORD, row, row.text(), row.type(), row.bid(), row.page())));
        return new PlanRecord(all);
    }

    private static PlanRecord.Row row(PlanRecord.Kind kind, Row of, String text, String type, String bid, String page) {
        return new PlanRecord.Row(kind, of.campaign(), of.group(), text, type, bid, page, "");
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

    /** What runs, as a plan that was served. */
    public PlanRecord record() {
        return record;
    }
}
