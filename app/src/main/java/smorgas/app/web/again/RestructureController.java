package smorgas.app.web.again;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.NoSuchElementException;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import smorgas.app.web.frame.Act;
import smorgas.app.web.frame.Frames;
import smorgas.app.web.show.Choice;
import smorgas.app.web.show.Expected;
import smorgas.app.web.show.Show;
import smorgas.app.web.show.Shown;
import smorgas.app.web.show.Step;
import smorgas.app.work.Campaigns;
import smorgas.app.work.GatheredBasket;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.board.OldStructure;
import smorgas.core.column.ColumnRole;
import smorgas.core.column.Figure;
import smorgas.core.draw.Flow;
import smorgas.core.group.read.Groups;
import smorgas.core.recipe.GroupPin;
import smorgas.core.serve.Csv;
import smorgas.core.serve.PlanChanges;
import smorgas.core.serve.PlanRecord;
import smorgas.core.text.Formulas;
import smorgas.core.text.Refusal;
import smorgas.core.text.Tidy;

/** An existing campaign restructured: old ad groups beside new groups, what moves, and the change as files. */
@Controller
class RestructureController {

    private static final int SHOWN = 100;
    private static final int DRAWN = 4;
    private static final int SAMPLES = 30;
    private static final int PARTS = 40;
    private static final int ENDS = 9;
    private static final int OTHERS = -1;
    private static final int LONGEST_PREFIX = 40;

    private final Frames frames;
    private final Campaigns campaigns;

    RestructureController(Frames frames, Campaigns campaigns) {
        this.frames = frames;
        this.campaigns = campaigns;
    }

    /** The page; without a list that tells ad groups there is nothing of it. */
    record RestructurePage(
            List<Choice> lists,
            long basket,
            String fate,
            String by,
            String prefix,
            @Nullable Old old,
            @Nullable Opened opened) {}

    /**
     * The campaign beside the groups.
     *
     * @param told in a sentence
     * @param fates how many of each, as choices
     * @param more how many ad groups are not shown; empty if all are
     * @param worth of what runs and of the plan, in a sentence; empty if nothing is assumed
     * @param reported whether clicks, cost, bids or the like are told
     */
    record Old(
            String told,
            List<FateChoice> fates,
            List<OldRow> rows,
            String more,
            Flow flow,
            List<String> leftNames,
            Map<Integer, NewGroup> rightNames,
            List<OldRow> mixed,
            String mixedCount,
            List<TwiceRow> twice,
            String twiceCount,
            String withoutExact,
            List<String> withoutExactSamples,
            String worth,
            boolean reported) {}

    /** Ad groups of one fate. */
    record FateChoice(String name, String label, String count) {}

    /** An ad group; {@code place} is its number. */
    record OldRow(
            int place,
            String campaign,
            String name,
            String keywords,
            String into,
            String fate,
            String clicks,
            String conversions,
            String cost,
            String bid,
            String quality) {}

    /** A keyword in several places. */
    record TwiceRow(String keyword, String places) {}

    /** A group of ours. */
    record NewGroup(String key, String name) {}

    /** One ad group with where its keywords go. */
    record Opened(
            int place,
            String campaign,
            String name,
            String fate,
            List<Part> parts,
            String moreParts,
            List<String> elsewhere,
            String more) {}

    /** What of it goes into one group, and what that takes over. */
    record Part(NewGroup group, String count, List<String> keywords, String inherits) {}

    @GetMapping("/projects/{id}/restructure")
    String page(
            @PathVariable long id,
            @RequestParam(defaultValue = "0") long basket,
            @RequestParam(defaultValue = "") String fate,
            @RequestParam(defaultValue = "") String by,
            @RequestParam(defaultValue = "-1") int old,
            @RequestParam(defaultValue = "New ") String prefix,
            Model model) {
        Snapshot snapshot = frames.openWithGroups(id, Step.SERVE).snapshot();
        List<GatheredBasket> lists = lists(snapshot);
        Board board = snapshot.board();
        Optional<OldStructure> structure = campaigns.beside(board, chosen(lists, basket));
        OldStructure.By order = Arrays.stream(OldStructure.By.values())
                .filter(one -> one.word().equals(by))
                .findFirst()
                .orElse(OldStructure.By.KEYWORDS);
        Shown.in(
                model,
                new RestructurePage(
                        choices(lists),
                        lists.size() == 1 ? lists.getFirst().id() : basket,
                        fate,
                        order.word(),
                        prefix,
                        structure.map(one -> old(board, one, order, fate, old)).orElse(null),
                        structure
                                .filter(one -> old >= 0 && old < one.groups().size())
                                .map(one -> opened(board, one, old))
                                .orElse(null)));
        frames.frameWithGroups(model, id, snapshot, Step.SERVE);
        return "again/restructure";
    }

    /** All of them together first: a campaign may have been exported as several files. */
    private static List<Choice> choices(List<GatheredBasket> lists) {
        List<Choice> choices = new ArrayList<>();
        if (lists.size() > 1) {
            choices.add(new Choice(0L, "all of them together"));
        }
        lists.forEach(one -> choices.add(new Choice(one.id(), one.name())));
        return choices;
    }

    private static List<GatheredBasket> chosen(List<GatheredBasket> lists, long basket) {
        return lists.stream().filter(one -> basket == 0 || one.id() == basket).toList();
    }

    private static List<GatheredBasket> lists(Snapshot snapshot) {
        return snapshot.baskets().stream()
                .filter(GatheredBasket::on)
                .filter(one -> !one.lines().texts(ColumnRole.AD_GROUP).isEmpty())
                .toList();
    }

    /** Drawn is the opened ad group, or else the first ones. */
    private static Old old(Board board, OldStructure structure, OldStructure.By by, String fate, int opened) {
        List<OldStructure.OldGroup> all = structure.groups();
        List<OldRow> rows = new ArrayList<>();
        List<Map<Integer, Integer>> drawn = new ArrayList<>();
        List<String> names = new ArrayList<>();
        for (int place : structure.order(by)) {
            OldStructure.OldGroup one = all.get(place);
            if (fate.isEmpty() || one.fate().name().equals(fate)) {
                rows.add(row(place, one));
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
        Map<Integer, NewGroup> right = new java.util.HashMap<>();
        flow.right()
                .forEach(bar -> right.put(
                        bar.of(), bar.of() == OTHERS ? new NewGroup("", "smaller parts") : of(groups, bar.of())));
        return new Old(
                Show.count(all.size(), "ad group runs", "ad groups run") + "; of ours "
                        + Show.count(
                                groups.grouping().size() - structure.fresh().cardinality())
                        + " take something over, and "
                        + Show.count(structure.fresh().cardinality()) + " are new.",
                Arrays.stream(OldStructure.Fate.values())
                        .map(one -> new FateChoice(
                                one.name(), one.label(structure.count(one)), Show.count(structure.count(one))))
                        .toList(),
                rows.stream().limit(SHOWN).toList(),
                rows.size() > SHOWN ? "and " + Show.count(rows.size() - SHOWN) + " more" : "",
                flow,
                names,
                right,
                mixed.stream()
                        .limit(SAMPLES)
                        .map(place -> row(place, all.get(place)))
                        .toList(),
                Show.count(mixed.size(), "ad group", "ad groups"),
                structure.twice().stream()
                        .limit(SAMPLES)
                        .map(one -> new TwiceRow(one.keyword(), String.join("; ", one.places())))
                        .toList(),
                Show.count(structure.twice().size(), "keyword", "keywords"),
                structure.tellsTypes()
                        ? Show.count(structure.withoutExact().size(), "keyword", "keywords")
                        : "the list tells no match types",
                structure.withoutExact().stream().limit(SAMPLES).toList(),
                worth(board, structure),
                rows.stream().anyMatch(RestructureController::reported));
    }

    /** Whether the list tells more of it than its keywords. */
    private static boolean reported(OldRow row) {
        return Stream.of(row.clicks(), row.conversions(), row.cost(), row.bid(), row.quality())
                .anyMatch(cell -> !cell.isEmpty());
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
    private static String worth(Board board, OldStructure structure) {
        if (!board.recipe().valuing().assumes()) {
            return "";
        }
        BitSet served = new BitSet();
        board.served().forEach(group -> Arrays.stream(group.keywords()).forEach(served::set));
        return "A month, as you assume in Sift: " + told(board, structure.bidOn()) + " by what runs, "
                + told(board, served) + " by the plan.";
    }

    private static String told(Board board, BitSet keywords) {
        String told = Expected.of(board.worth().sum(keywords)).brief();
        return told.isEmpty() ? "nothing known" : told;
    }

    private static OldRow row(int place, OldStructure.OldGroup one) {
        return new OldRow(
                place,
                one.campaign(),
                one.name(),
                Show.count(one.keywords().size()),
                Show.count(one.into().size()),
                one.fate().label(),
                some(one.sums().clicks()),
                one.sums().conversions() == 0 ? "" : Csv.amount(one.sums().conversions(), Figure.CONVERSIONS.scale()),
                one.sums().cost() == 0 ? "" : Csv.amount(one.sums().cost(), Figure.COST.scale()),
                Show.money(one.bid()),
                quality(one.quality()));
    }

    private static String quality(OptionalDouble mean) {
        return mean.isEmpty() ? "" : String.format(Locale.ENGLISH, "%.1f", mean.getAsDouble());
    }

    private static String some(long count) {
        return count == 0 ? "" : Show.count(count);
    }

    private static NewGroup of(Groups groups, int group) {
        return new NewGroup(groups.grouping().key(group), groups.name(group));
    }

    private static Opened opened(Board board, OldStructure structure, int place) {
        OldStructure.OldGroup one = structure.groups().get(place);
        Groups groups = board.groups();
        List<Part> parts = one.into().entrySet().stream()
                .limit(PARTS)
                .map(entry -> new Part(
                        of(groups, entry.getKey()),
                        Show.count(entry.getValue().size(), "keyword", "keywords"),
                        entry.getValue().stream().limit(SAMPLES).toList(),
                        structure
                                .heir(entry.getKey())
                                .map(heir -> told(board, entry.getKey(), heir))
                                .orElse("")))
                .toList();
        return new Opened(
                place,
                one.campaign(),
                one.name(),
                one.fate().label(),
                parts,
                one.into().size() > PARTS
                        ? "and " + Show.count(one.into().size() - PARTS, "more group", "more groups")
                        : "",
                one.elsewhere().stream().limit(SAMPLES).toList(),
                one.elsewhere().size() > SAMPLES
                        ? "and " + Show.count(one.elsewhere().size() - SAMPLES) + " more"
                        : "");
    }

    private static String told(Board board, int group, OldStructure.Heir heir) {
        List<String> told = new ArrayList<>(List.of("from " + Show.count(heir.oldGroups(), "ad group", "ad groups")));
        if (heir.sums().impressions() > 0) {
            told.add(Show.count(heir.sums().clicks(), "click", "clicks") + " of "
                    + Show.count(heir.sums().impressions()) + " impressions");
        }
        if (heir.sums().conversions() > 0) {
            told.add(Csv.amount(heir.sums().conversions(), Figure.CONVERSIONS.scale()) + " conversions");
        }
        if (!heir.page().isEmpty()) {
            told.add("page " + heir.page());
        }
        if (!heir.ad().isEmpty()) {
            told.add("best ad \"" + heir.ad() + "\"");
        }
        if (heir.bid().isPresent()) {
            String ours = planned(board, group);
            told.add("bid " + Show.money(heir.bid()) + (ours.isEmpty() ? "" : " (the plan: " + ours + ")"));
        }
        if (heir.quality().isPresent()) {
            told.add("quality score " + quality(heir.quality()) + ", which is not carried over");
        }
        if (board.recipe().valuing().assumes()) {
            String worth = Expected.of(board.worth()
                            .sum(board.groups().grouping().members().row(group)))
                    .worth();
            told.add(worth.isEmpty() ? "worth not known" : "worth a month, as you assume, " + worth);
        }
        return String.join(", ", told);
    }

    /** What the plan bids for a group; empty if nothing, or each keyword its own. */
    private static String planned(Board board, int group) {
        String key = board.groups().grouping().key(group);
        return board.plan().campaigns().stream()
                .flatMap(campaign -> campaign.adGroups().stream())
                .filter(adGroup -> adGroup.bidMicros() > 0 && adGroup.keys().contains(key))
                .findFirst()
                .map(adGroup -> Csv.amount(adGroup.bidMicros(), Figure.CPC.scale()))
                .orElse("");
    }

    /** An ad group stays as it is: its keywords are one group of its name. */
    @PostMapping("/projects/{id}/restructure/keep")
    String keep(Act act, @RequestParam long basket, @RequestParam int old) {
        return act.done(recipe -> {
            Board board = act.snapshot().board();
            OldStructure structure = structure(act.snapshot(), basket);
            if (old < 0 || old >= structure.groups().size()) {
                throw new Refusal("There is no such ad group any more");
            }
            OldStructure.OldGroup one = structure.groups().get(old);
            List<String> texts = one.keywords().stream()
                    .map(board.keywords()::meant)
                    .flatMap(Optional::stream)
                    .distinct()
                    .filter(board.standings().remaining()::get)
                    .map(keyword -> Tidy.of(board.keywords().text(keyword)))
                    .toList();
            if (texts.isEmpty()) {
                throw new Refusal("None of its keywords is in the project, or all are dropped");
            }
            return new GroupPin.KeywordsPlaced(texts, board.keywords().otherSpellings(texts), Tidy.of(one.name()));
        });
    }

    private OldStructure structure(Snapshot snapshot, long basket) {
        return campaigns
                .beside(snapshot.board(), chosen(lists(snapshot), basket))
                .orElseThrow(() -> new NoSuchElementException("There is no list " + basket + " that tells ad groups"));
    }

    /** The change as a table: new ad groups in campaigns under a prefix, the old ones paused. */
    @GetMapping("/projects/{id}/restructure/change.csv")
    void change(
            @PathVariable long id,
            @RequestParam long basket,
            @RequestParam(defaultValue = "New ") String prefix,
            HttpServletResponse response)
            throws IOException {
        Change change = change(frames.open(id).snapshot(), basket, prefix);
        write(PlanChanges.of(change.old(), change.fresh()), "restructure.csv", response);
    }

    /** What takes the change back: the old ad groups run again, the new ones pause. */
    @GetMapping("/projects/{id}/restructure/way-back.csv")
    void wayBack(
            @PathVariable long id,
            @RequestParam long basket,
            @RequestParam(defaultValue = "New ") String prefix,
            HttpServletResponse response)
            throws IOException {
        Change change = change(frames.open(id).snapshot(), basket, prefix);
        write(PlanChanges.of(change.fresh(), change.old()), "restructure-way-back.csv", response);
    }

    private record Change(PlanRecord old, PlanRecord fresh) {}

    private Change change(Snapshot snapshot, long basket, String prefix) {
        if (prefix.isBlank() || prefix.length() > LONGEST_PREFIX) {
            throw new Refusal(String.format(
                    Locale.ENGLISH, "A prefix has 1 to %d characters, so that new and old do not mix", LONGEST_PREFIX));
        }
        Formulas.refuse("prefix", prefix);
        return new Change(
                structure(snapshot, basket).record(),
                PlanRecord.of(snapshot.board().plan()).inCampaigns(prefix));
    }

    private static void write(PlanChanges changes, String file, HttpServletResponse response) throws IOException {
        response.setContentType("text/csv;charset=UTF-8");
        response.setHeader("Content-Disposition", "attachment; filename=\"" + file + "\"");
        changes.write(response.getWriter());
    }
}
