package smorgas.app.demo;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SequencedMap;
import org.springframework.beans.factory.SmartInitializingSingleton;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;
import smorgas.app.store.Pantry;
import smorgas.app.store.Projects;
import smorgas.app.work.Offered;
import smorgas.app.work.OpenProject;
import smorgas.app.work.Outcome;
import smorgas.app.work.Table;
import smorgas.core.group.read.Regrouping;
import smorgas.core.recipe.BasketEntry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.GroupEntry;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.StandardSettings;
import smorgas.core.recipe.ValueEntry;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.Method;
import smorgas.core.recipe.group.Pass;
import smorgas.core.recipe.group.Rank;
import smorgas.core.recipe.serve.AdTemplate;
import smorgas.core.recipe.serve.PlanAds;
import smorgas.core.recipe.serve.PlanBids;
import smorgas.core.recipe.serve.PlanNames;
import smorgas.core.recipe.serve.PlanPages;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.sift.WordList;
import smorgas.core.recipe.value.Assumed;
import smorgas.core.recipe.value.Assumptions;
import smorgas.core.recipe.value.CostBy;
import smorgas.core.recipe.value.Span;

/** Makes the demo project in an empty data folder: its lists in, a morning's decisions made, before the first page is answered. */
@Component
public class DemoProject implements SmartInitializingSingleton {

    /** Other meanings of bee, hive, comb, queen and honey, and what the shop does not have. */
    private static final List<String> DROPPED_WORDS = List.of(
            "costume",
            "spelling",
            "crossword",
            "clipart",
            "tattoo",
            "jobs",
            "salary",
            "mattress",
            "bed",
            "hair",
            "hairstyle",
            "wedding",
            "bridal",
            "makeup",
            "waxing",
            "printable");

    private static final String PLAN = "the-shops-own-plan.csv";

    private final Projects projects;
    private final Table table;
    private final Pantry pantry;
    private final boolean wanted;

    DemoProject(Projects projects, Table table, Pantry pantry, @Value("${smorgas.demo}") boolean wanted) {
        this.projects = projects;
        this.table = table;
        this.pantry = pantry;
        this.wanted = wanted;
    }

    @Override
    public void afterSingletonsInstantiated() {
        if (wanted && projects.all().isEmpty()) {
            System.out.println(
                    "Making the demo project: its lists are read and a morning's decisions made; this takes some"
                            + " seconds, once.");
            make();
        }
    }

    /** Makes it, and tells its number. */
    public long make() {
        pantry.ship(new WordList("Towns (made up)", "en", WordList.Kind.PLACES, 1, DemoKeywords.TOWNS));
        pantry.ship(new WordList("Rivals (made up)", "en", WordList.Kind.BRANDS, 1, DemoKeywords.RIVALS));
        long id = projects.create("Beekeeping shop", "en", "United Kingdom", "GBP");
        fill(table.open(id));
        return id;
    }

    private void fill(OpenProject project) {
        DemoLists.make().forEach((name, bytes) -> project.gather(Offered.file(name, bytes)));
        describe(project, "planner-export-hives.csv", BasketInfo.Kind.PLANNER, "bee hive", "");
        describe(project, "competitor-skeplund.csv", BasketInfo.Kind.COMPETITOR, "", "Skeplund");
        describe(project, "competitor-brumvale.csv", BasketInfo.Kind.COMPETITOR, "", "Brumvale");
        describe(project, "suggestion-harvest.txt", BasketInfo.Kind.SUGGESTIONS, "bee", "");
        describe(project, "pasted-from-the-client.txt", BasketInfo.Kind.PASTE, "", "");
        // The shop's own plan tells how near the groups come to it, and brings no keywords.
        project.gather(Offered.file(PLAN, DemoLists.plan()));
        long plan = basket(project, PLAN);
        done(project.act(project.snapshot().version(), recipe -> new BasketEntry.BasketBrings(plan, PLAN, false)));
        sift(project);
        group(project);
        serve(project);
    }

    private void sift(OpenProject project) {
        for (String word : DROPPED_WORDS) {
            act(project, new Condition.HasWord(word), Status.DROPPED);
        }
        for (String list : List.of("Rivals (made up)", "Towns (made up)", "Question openers (en)")) {
            WordList newest = pantry.find(list).orElseThrow();
            done(project.act(project.snapshot().version(), recipe -> new SiftEntry.ListTaken(newest)));
        }
        act(project, new Condition.OnList("Rivals (made up)"), Status.DROPPED);
        act(
                project,
                new Condition.AllOf(List.of(new Condition.HasWord("hive"), Condition.searchesFrom(100))),
                Status.KEPT);
        act(project, new Condition.HasWord("extractor"), Status.KEPT);
        act(project, new Condition.HasWord("suit"), Status.KEPT);
        act(project, new Condition.HasWord("jars"), Status.KEPT);
        done(project.act(
                project.snapshot().version(),
                recipe -> new SiftEntry.RuleAdded(new Rule(
                        recipe.sifting().nextRule(),
                        new Condition.OnList("Question openers (en)"),
                        new Rule.Tags("question")))));
        done(project.act(
                project.snapshot().version(),
                recipe -> new SiftEntry.ViewSaved(
                        "Towns, searched",
                        new Condition.AllOf(
                                List.of(new Condition.OnList("Towns (made up)"), Condition.searchesFrom(20))))));
        judge(project, List.of("bee veil", "smoker fuel", "queen cage", "hive tool"), Status.KEPT);
        judge(project, List.of("hive blockchain news", "electric smoker grill"), Status.DROPPED);
    }

    private void group(OpenProject project) {
        StandardSettings standard = project.snapshot().board().recipe().rules().settings();
        GroupSettings usual = project.snapshot().board().recipe().grouping().settings();
        keep(project, "broad for a start", usual.with(standard.similarity().at(Method.BySimilarity.BROAD)));
        keep(project, "tight for the agency", usual.with(standard.similarity().at(Method.BySimilarity.TIGHT)));
        keep(
                project,
                "by themes",
                usual.with(new Method.ByThemes(
                        List.of(new Pass(5, Pass.ANY, Pass.ANY, 1, 4, true, 0)), Rank.BY_KEYWORDS)));
        done(project.act(
                project.snapshot().version(),
                recipe -> new GroupEntry.WordsSame(
                        List.of(List.of("personalised", "custom"), List.of("regulations", "laws", "rules")),
                        GroupEntry.WordsSame.Way.SAME)));
        GroupDecision.GroupsAsTheyAre status =
                Regrouping.asTheyAre(project.snapshot().board().groups());
        done(project.act(project.snapshot().version(), recipe -> status));
    }

    private void serve(OpenProject project) {
        StandardSettings standard = project.snapshot().board().recipe().rules().settings();
        done(project.act(project.snapshot().version(), recipe -> new ValueEntry.AssumptionsSet("", "", assumed())));
        done(project.act(
                project.snapshot().version(),
                recipe -> new ServeEntry.PlanSettingsChosen(standard.plan()
                        .with(PlanNames.of("Beekeeping UK", PlanNames.THEME).with(PlanNames.Letters.TITLE))
                        .with(PlanBids.fixed(450_000))
                        .with(new PlanPages(true, false, "https://bees.example/{theme}")))));
        done(project.act(project.snapshot().version(), recipe -> new ServeEntry.AdsSet(ads())));
    }

    /** What the shop says of everything it sells. */
    private static PlanAds ads() {
        SequencedMap<String, String> words = new LinkedHashMap<>();
        words.put("offer", "Free Delivery over 40");
        words.put("place", "Made in the Dales");
        return new PlanAds(
                true,
                List.of(
                        new AdTemplate(
                                List.of("{Theme}", "{offer}", "{place}", "Ask Those Who Keep Bees"),
                                List.of(
                                        "{Theme} from a shop run by beekeepers. {offer}.",
                                        "Chosen, tried and packed by hand. Send it back within 60 days."),
                                List.of("{theme}")),
                        new AdTemplate(
                                List.of("{insert:Theme}", "In Stock, Sent Today", "{offer}"),
                                List.of(
                                        "Which {theme} suits your bees? We tell you on the phone.",
                                        "{place}, sent anywhere. Pay when it is there."),
                                List.of("{theme}", "shop"))),
                words);
    }

    /** What a shop of this kind would assume: an order in forty clicks, and what is left of one. */
    private static Assumptions assumed() {
        return new Assumptions(
                Map.of(
                        Assumed.PLACE, new Span(1, 3),
                        Assumed.CONVERSION_RATE, Span.of(250),
                        Assumed.VALUE, Span.of(22_000_000)),
                CostBy.CPC_OR_BIDS);
    }

    private static long basket(OpenProject project, String name) {
        return project.snapshot().baskets().stream()
                .filter(b -> b.name().equals(name))
                .findFirst()
                .orElseThrow()
                .id();
    }

    private static void describe(
            OpenProject project, String name, BasketInfo.Kind kind, String seed, String competitor) {
        long basket = basket(project, name);
        done(project.act(
                project.snapshot().version(),
                recipe -> new BasketEntry.BasketDescribed(
                        basket,
                        new BasketInfo(name, kind, seed, competitor, "United Kingdom", "GBP", "2026-10-05", ""))));
    }

    private static void act(OpenProject project, Condition when, Status then) {
        done(project.act(
                project.snapshot().version(),
                recipe -> new SiftEntry.RuleAdded(new Rule(recipe.sifting().nextRule(), when, then))));
    }

    private static void keep(OpenProject project, String name, GroupSettings settings) {
        done(project.act(project.snapshot().version(), recipe -> new GroupEntry.AlternativeKept(name, settings)));
    }

    private static void judge(OpenProject project, List<String> texts, Status status) {
        done(project.act(project.snapshot().version(), recipe -> new SiftEntry.Judged(texts, status)));
    }

    private static void done(Outcome outcome) {
        if (outcome instanceof Outcome.Refused refused) {
            throw new IllegalStateException(refused.sentence().toString());
        }
    }
}
