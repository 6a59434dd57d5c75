package smorgas.app.web.again;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.OptionalDouble;
import smorgas.app.web.show.Expected;
import smorgas.app.web.show.Show;
import smorgas.core.board.Board;
import smorgas.core.board.OldStructure;
import smorgas.core.draw.Flow;
import smorgas.core.figure.Figure;
import smorgas.core.group.read.Groups;
import smorgas.core.serve.Csv;
import smorgas.core.serve.Plan;
import smorgas.core.text.Message;
import smorgas.core.value.Reported;

/**
 * The campaign beside the groups.
 *
 * @param sentence how many run and what becomes of them
 * @param fates how many of each, as choices
 * @param told what the list tells of ad groups, a column each
 * @param more how many ad groups are not shown; empty if all are
 * @param estimatedValue of what runs and of the plan, in a sentence; empty if nothing is assumed
 */
record OldAndNew(
        Message sentence,
        List<FateChoice> fates,
        List<Told> told,
        List<OldRow> rows,
        Message more,
        Flow flow,
        List<String> leftNames,
        Map<Integer, NewGroup> rightNames,
        List<OldRow> mixed,
        Message mixedCount,
        List<TwiceRow> twice,
        Message twiceCount,
        Message withoutExact,
        List<String> withoutExactSamples,
        Message estimatedValue) {

    private static final int SHOWN = 100;
    private static final int DRAWN = 4;
    private static final int SAMPLES = 30;
    private static final int PARTS = 40;
    private static final int ENDS = 9;
    private static final int OTHERS = -1;

    /** What a list may tell of an ad group beside its keywords. */
    enum Told {
        CLICKS("old-and-new.clicks", "clicks"),
        CONVERSIONS("old-and-new.conversions", "conversions"),
        COST("old-and-new.cost", "cost"),
        BID("old-and-new.bid", ""),
        QUALITY("old-and-new.quality", "");

        private final Message label;
        private final String by;

        Told(String label, String by) {
            this.label = Message.of(label);
            this.by = by;
        }

        public Message label() {
            return label;
        }

        /** What ad groups are ordered by it with; empty if they are not. */
        public String by() {
            return by;
        }

        private String of(OldStructure.OldGroup one) {
            return switch (this) {
                case CLICKS ->
                    one.sums().clicks() == 0 ? "" : Show.count(one.sums().clicks());
                case CONVERSIONS -> amount(one.sums().conversions(), Figure.CONVERSIONS);
                case COST -> amount(one.sums().cost(), Figure.COST);
                case BID -> Show.money(one.bid());
                case QUALITY -> quality(one.quality());
            };
        }

        private static String amount(long sum, Figure figure) {
            return sum == 0 ? "" : Csv.amount(sum, figure.scale());
        }
    }

    /** Ad groups of one fate. */
    record FateChoice(String name, Message label, String count) {}

    /** An ad group; {@code place} is its number, {@code figures} stand under what is told. */
    record OldRow(
            int place,
            String campaign,
            String name,
            String keywords,
            String into,
            Message fate,
            List<String> figures) {}

    /** A keyword in several places. */
    record TwiceRow(String keyword, Message places) {}

    /** A group of ours. */
    record NewGroup(String key, Message name) {}

    /** One ad group with where its keywords go. */
    record Opened(
            int place,
            String campaign,
            String name,
            Message fate,
            List<Part> parts,
            Message moreParts,
            List<String> elsewhere,
            Message more) {}

    /** What of it goes into one group, and what that takes over. */
    record Part(NewGroup group, Message count, List<String> keywords, Message inherits) {}

    /** Drawn is the opened ad group, or else the first ones. */
    static OldAndNew of(Board board, OldStructure structure, OldStructure.By by, String fate, int opened) {
        List<OldStructure.OldGroup> all = structure.groups();
        List<Told> told = Arrays.stream(Told.values())
                .filter(one -> all.stream().anyMatch(group -> !one.of(group).isEmpty()))
                .toList();
        List<OldRow> rows = new ArrayList<>();
        List<Map<Integer, Integer>> drawn = new ArrayList<>();
        List<String> names = new ArrayList<>();
        for (int place : structure.order(by)) {
            OldStructure.OldGroup one = all.get(place);
            if (fate.isEmpty() || one.fate().name().equals(fate)) {
                rows.add(row(place, one, told));
                if (drawn.size() < DRAWN && !one.into().isEmpty() && (opened < 0 || opened == place)) {
                    drawn.add(amounts(one));
                    names.add(one.name());
                }
            }
        }
        List<Integer> mixed = structure.order(OldStructure.By.COST).stream()
                .filter(place -> all.get(place).mixed())
                .toList();
        Groups groups = board.groups();
        Flow flow = Flow.of(drawn);
        Map<Integer, NewGroup> right = new HashMap<>();
        flow.right()
                .forEach(bar -> right.put(
                        bar.of(),
                        bar.of() == OTHERS
                                ? new NewGroup("", Message.of("again.old-and-new.smaller-parts"))
                                : of(groups, bar.of())));
        return new OldAndNew(
                Message.of(
                        "again.old-and-new.ad-group-runs-ours",
                        all.size(),
                        groups.grouping().size() - structure.fresh().cardinality(),
                        structure.fresh().cardinality()),
                Arrays.stream(OldStructure.Fate.values())
                        .map(one -> new FateChoice(
                                one.name(), one.label(structure.count(one)), Show.count(structure.count(one))))
                        .toList(),
                told,
                rows.stream().limit(SHOWN).toList(),
                rows.size() > SHOWN ? Message.of("and-more", rows.size() - SHOWN) : Message.NONE,
                flow,
                names,
                right,
                mixed.stream()
                        .limit(SAMPLES)
                        .map(place -> row(place, all.get(place), told))
                        .toList(),
                Message.of("again.old-and-new.ad-group", mixed.size()),
                structure.twice().stream()
                        .limit(SAMPLES)
                        .map(one -> new TwiceRow(one.keyword(), Message.joined("list.semicolon", one.places())))
                        .toList(),
                Message.of("count.keywords", structure.twice().size()),
                structure.tellsTypes()
                        ? Message.of(
                                "again.old-and-new.keyword",
                                structure.withoutExact().size())
                        : Message.of("again.old-and-new.list-tells-match-types"),
                structure.withoutExact().stream().limit(SAMPLES).toList(),
                estimatedValue(board, structure));
    }

    /** The largest parts, and the rest together: an ad group may be split over thousands. */
    private static Map<Integer, Integer> amounts(OldStructure.OldGroup one) {
        Map<Integer, Integer> amounts = new LinkedHashMap<>();
        one.into()
                .forEach((group, texts) ->
                        amounts.merge(amounts.size() < ENDS ? group : OTHERS, texts.size(), Integer::sum));
        return amounts;
    }

    /** What may come of what runs, and of what the plan serves, by the same assumptions; empty if nothing is assumed. */
    private static Message estimatedValue(Board board, OldStructure structure) {
        if (!board.recipe().valuing().assumes()) {
            return Message.NONE;
        }
        BitSet exported = new BitSet();
        board.exported().forEach(group -> Arrays.stream(group.keywords()).forEach(exported::set));
        return Message.of(
                "again.old-and-new.month-you-assume-sift", told(board, structure.bidOn()), told(board, exported));
    }

    private static Message told(Board board, BitSet keywords) {
        Message told = Expected.of(board.estimatedValue().sum(keywords)).brief();
        return told.isEmpty() ? Message.of("again.old-and-new.nothing-known") : told;
    }

    private static OldRow row(int place, OldStructure.OldGroup one, List<Told> told) {
        return new OldRow(
                place,
                one.campaign(),
                one.name(),
                Show.count(one.keywords().size()),
                Show.count(one.into().size()),
                one.fate().label(),
                told.stream().map(figure -> figure.of(one)).toList());
    }

    private static String quality(OptionalDouble mean) {
        return mean.isEmpty() ? "" : String.format(Locale.ENGLISH, "%.1f", mean.getAsDouble());
    }

    private static NewGroup of(Groups groups, int group) {
        return new NewGroup(groups.grouping().key(group), Message.verbatim(groups.name(group)));
    }

    /** One of its ad groups. */
    static Opened opened(Board board, OldStructure structure, int place) {
        OldStructure.OldGroup one = structure.groups().get(place);
        Groups groups = board.groups();
        Map<String, Long> bids = bids(board.plan());
        List<Part> parts = one.into().entrySet().stream()
                .limit(PARTS)
                .map(entry -> new Part(
                        of(groups, entry.getKey()),
                        Message.of("count.keywords", entry.getValue().size()),
                        entry.getValue().stream().limit(SAMPLES).toList(),
                        structure
                                .heir(entry.getKey())
                                .map(heir -> told(board, entry.getKey(), heir, bids))
                                .orElse(Message.NONE)))
                .toList();
        return new Opened(
                place,
                one.campaign(),
                one.name(),
                one.fate().label(),
                parts,
                one.into().size() > PARTS
                        ? Message.of("again.old-and-new.more-group", one.into().size() - PARTS)
                        : Message.NONE,
                one.elsewhere().stream().limit(SAMPLES).toList(),
                one.elsewhere().size() > SAMPLES
                        ? Message.of("and-more", one.elsewhere().size() - SAMPLES)
                        : Message.NONE);
    }

    private static Message told(Board board, int group, OldStructure.Heir heir, Map<String, Long> bids) {
        List<Message> told = new ArrayList<>(List.of(Message.of("again.old-and-new.from-ad-group", heir.oldGroups())));
        Reported sums = heir.sums();
        if (sums.impressions() > 0) {
            told.add(Message.of("again.old-and-new.clicks-of", sums.clicks(), sums.impressions()));
        }
        if (heir.sums().conversions() > 0) {
            told.add(Message.of(
                    "again.old-and-new.converted", Csv.amount(heir.sums().conversions(), Figure.CONVERSIONS.scale())));
        }
        if (!heir.page().isEmpty()) {
            told.add(Message.of("again.old-and-new.page", heir.page()));
        }
        if (!heir.ad().isEmpty()) {
            told.add(Message.of("again.old-and-new.best-ad", heir.ad()));
        }
        if (heir.bid().isPresent()) {
            Long ours = bids.get(board.groups().grouping().key(group));
            told.add(Message.of(
                    "again.old-and-new.bid",
                    Show.money(heir.bid()),
                    (ours == null
                            ? Message.NONE
                            : Message.of("again.old-and-new.the-plan", Csv.amount(ours, Figure.CPC.scale())))));
        }
        if (heir.quality().isPresent()) {
            told.add(Message.of("again.old-and-new.quality-score-which-carried", quality(heir.quality())));
        }
        if (board.recipe().valuing().assumes()) {
            Message estimatedValue = Expected.of(board.estimatedValue()
                            .sum(board.groups().grouping().members().row(group)))
                    .estimatedValue();
            told.add(
                    estimatedValue.isEmpty()
                            ? Message.of("again.old-and-new.estimated-value-known")
                            : Message.of("again.old-and-new.estimated-value-month-you-assume", estimatedValue));
        }
        return Message.joined("list.comma", told);
    }

    /** What the plan bids for each group, by its key; none where it bids nothing, or for each keyword its own. */
    private static Map<String, Long> bids(Plan plan) {
        Map<String, Long> bids = new HashMap<>();
        for (Plan.Campaign campaign : plan.campaigns()) {
            for (Plan.AdGroup adGroup : campaign.adGroups()) {
                if (adGroup.bidMicros() > 0) {
                    adGroup.keys().forEach(key -> bids.putIfAbsent(key, adGroup.bidMicros()));
                }
            }
        }
        return bids;
    }
}
