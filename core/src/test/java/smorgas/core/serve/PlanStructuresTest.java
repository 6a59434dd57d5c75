package smorgas.core.serve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;

import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import smorgas.core.board.Board;
import smorgas.core.gather.Lines;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.OwnCampaign;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.ValueEntry;
import smorgas.core.recipe.gather.BasketInfo;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.serve.PlanBids;
import smorgas.core.recipe.serve.PlanCampaigns;
import smorgas.core.recipe.serve.PlanGroups;
import smorgas.core.recipe.serve.PlanNames;
import smorgas.core.recipe.serve.PlanPages;
import smorgas.core.recipe.serve.PlanSettings;
import smorgas.core.recipe.serve.PlanStructure;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.value.Assumed;
import smorgas.core.recipe.value.Assumptions;
import smorgas.core.recipe.value.CostBy;
import smorgas.core.recipe.value.Span;
import smorgas.core.text.Refusal;

/** What ad groups and campaigns are made of, how they are called, what they bid and where they lead to. */
class PlanStructuresTest {

    private static final String LIST = "keyword,searches,low bid,high bid,cpc\n"
            + "bee hive,1000,0.40,0.90,0.61\nbuy bee hive,300,0.50,1.20,0.80\nhow to build a bee hive,200,,,0.10\n"
            + "honey jar,800,0.20,0.40,0.30\nhoney jar with lid,90,0.10,0.30,\nqueen cage,20,,,\n";

    private static final PlanSettings PLAN = Rules.NEWEST.settings().plan();

    private static GroupDecision group(String name, String... texts) {
        return new GroupDecision.KeywordsPlaced(List.of(texts), List.of(), name);
    }

    private static Board board(PlanSettings settings, Entry... entries) {
        List<Entry> all = new java.util.ArrayList<>(List.of(
                group("hives", "bee hive", "buy bee hive", "how to build a bee hive"),
                group("jars", "honey jar", "honey jar with lid"),
                group("cages", "queen cage"),
                new ServeEntry.PlanSettingsChosen(settings)));
        all.addAll(List.of(entries));
        return Board.of(List.of(TestLists.lines(1, LIST)), Recipe.of(all, "en"));
    }

    private static List<String> names(Board board) {
        return board.plan().campaigns().stream()
                .flatMap(campaign -> campaign.adGroups().stream().map(group -> campaign.name() + " / " + group.name()))
                .toList();
    }

    @Test
    void eachKeywordOrEachMatchTypeCanBeAnAdGroup() {
        Board single = board(PLAN.with(new PlanStructure(0, true, false)));
        assertThat(names(single)).hasSize(6).contains("Campaign 1 / bee hive", "Campaign 1 / honey jar with lid");
        Board types = board(PLAN.with(new PlanStructure(0, false, true)));
        assertThat(names(types))
                .containsExactly(
                        "Campaign 1 / hives phrase",
                        "Campaign 1 / hives exact",
                        "Campaign 1 / jars phrase",
                        "Campaign 1 / jars exact",
                        "Campaign 1 / cages phrase",
                        "Campaign 1 / cages exact");
        assertThat(types.plan().count()).isEqualTo(new PlanCount(1, 6, 6, 12));
        assertThat(names(board(PLAN.with(new PlanStructure(0, true, true))))).hasSize(12);
    }

    @Test
    void campaignsArePartedByTagIntentOrMatchType() {
        Entry tag = new SiftEntry.Tagged(List.of("honey jar", "queen cage"), List.of(), "glass", true);
        Board tagged = board(PLAN.with(PlanCampaigns.by(PlanCampaigns.By.TAG)), tag);
        assertThat(names(tagged))
                .containsExactly(
                        "Campaign 1 glass / jars",
                        "Campaign 1 glass / cages",
                        "Campaign 1 other / hives",
                        "Campaign 1 other / jars");
        Board intents = board(PLAN.with(PlanCampaigns.by(PlanCampaigns.By.INTENT))
                .with(PlanNames.of("Shop, {part}", "{theme} {intent}")));
        assertThat(names(intents))
                .contains("Shop, informational / hives informational", "Shop, transactional / hives transactional");
        Entry hostile = new SiftEntry.Tagged(List.of("honey jar"), List.of(), "=cmd()", true);
        Plan held = board(
                        PLAN.with(PlanCampaigns.by(PlanCampaigns.By.TAG)).with(PlanNames.of("{part} shop", "{theme}")),
                        hostile)
                .plan();
        assertThat(held.notExported())
                .singleElement()
                .satisfies(one -> assertThat(one.why().toString()).contains("campaign whose name begins with ="));
        assertThat(held.rows()).noneMatch(row -> row.campaign().startsWith("="));
        Board types = board(PLAN.with(PlanCampaigns.by(PlanCampaigns.By.MATCH_TYPE)));
        assertThat(types.plan().campaigns())
                .extracting(Plan.Campaign::name)
                .containsExactly("Campaign 1 phrase", "Campaign 1 exact");
        assertThat(types.plan().campaigns().getFirst().adGroups().getFirst().keywords())
                .allMatch(exported -> exported.matchTypes().equals(Set.of(MatchType.PHRASE)));
    }

    @Test
    void aKeywordIsInTheCampaignOfEachMarketThatItsListsAreOf() {
        Board board = Board.of(
                List.of(
                        market(1, "Ireland", "bee hive\nflat hive"),
                        market(2, "Malta", "bee hive"),
                        market(3, "", "old hive")),
                Recipe.of(
                        List.of(
                                group("hives", "bee hive", "flat hive", "old hive"),
                                new ServeEntry.PlanSettingsChosen(
                                        PLAN.with(PlanCampaigns.by(PlanCampaigns.By.MARKET)))),
                        "en"));
        assertThat(board.plan().campaigns())
                .extracting(Plan.Campaign::name, one -> one.adGroups().getFirst().keywords().stream()
                        .map(Plan.Exported::keyword)
                        .toList())
                .containsExactly(
                        tuple("Campaign 1 Ireland", List.of("bee hive", "flat hive")),
                        tuple("Campaign 1 Malta", List.of("bee hive")),
                        tuple("Campaign 1 other", List.of("old hive")));
        assertThat(board.planCount()).isEqualTo(board.plan().count()).isEqualTo(new PlanCount(3, 3, 3, 8));
        assertThat(board.check()).noneMatch(one -> one.kind() == CheckKind.TWICE);
    }

    private static Lines market(long basket, String market, String keywords) {
        return TestLists.lines(basket, "keyword\n" + keywords + "\n")
                .described(new BasketInfo("list " + basket, BasketInfo.Kind.OTHER, "", "", market, "", "", ""));
    }

    @Test
    void aCampaignHasItsOwnNameBidsAndNegativesAndKeepsThemWhateverElseIsChosen() {
        Entry free = new ServeEntry.NegativesSaid(List.of(
                new ServeEntry.Said("free", "", ServeEntry.Say.PHRASE),
                new ServeEntry.Said("used", "", ServeEntry.Say.PHRASE)));
        Entry own = new ServeEntry.CampaignSaid(
                "MATCH_TYPE:EXACT",
                new OwnCampaign(
                        "Sure ones",
                        true,
                        new PlanBids(PlanBids.From.CPC, 0, 100, 0, 0),
                        Stream.of("[toy hive]", "\"plastic\"", "bee hive")
                                .map(ServeEntry.Said::written)
                                .collect(Collectors.collectingAndThen(Collectors.toList(), list -> {
                                    list.add(new ServeEntry.Said("used", "", ServeEntry.Say.NEVER));
                                    return list;
                                }))));
        PlanSettings byType =
                PLAN.with(PlanCampaigns.by(PlanCampaigns.By.MATCH_TYPE)).with(PlanBids.fixed(150_000));
        Plan plan = board(byType, free, own).plan();
        Plan.Campaign phrase = plan.campaigns().getFirst();
        Plan.Campaign exact = plan.campaigns().getLast();
        assertThat(exact.name()).isEqualTo("Sure ones");
        assertThat(phrase.adGroups().getFirst().bid()).isEqualTo("0.15");
        assertThat(exact.adGroups().getFirst().keywords())
                .extracting(Plan.Exported::bidMicros)
                .containsExactly(610_000L, 800_000L, 100_000L);
        assertThat(phrase.negatives()).extracting(Plan.Negative::keyword).containsExactly("free", "used");
        assertThat(exact.negatives())
                .containsExactly(
                        new Plan.Negative("free", MatchType.PHRASE),
                        new Plan.Negative("toy hive", MatchType.EXACT),
                        new Plan.Negative("plastic", MatchType.PHRASE));
        // "bee hive" would block three keywords of its own campaign.
        assertThat(plan.conflicts())
                .singleElement()
                .extracting(Plan.Conflict::campaign, Plan.Conflict::word, Plan.Conflict::blocks)
                .containsExactly("MATCH_TYPE:EXACT", "bee hive", 3);
        assertThat(names(board(PLAN, own))).allMatch(name -> name.startsWith("Campaign 1 /"));
        assertThatThrownBy(() -> new OwnCampaign("=x()", false, PlanBids.NONE, List.of()))
                .isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new OwnCampaign("x", false, PlanBids.fixed(1), List.of()))
                .isInstanceOf(Refusal.class);
    }

    @Test
    void whatABroaderKeywordElsewhereWouldAnswerIsFoundUntilNegativesSteerIt() {
        Entry[] two = {group("hives", "bee hive", "buy bee hive"), group("guides", "how to build a bee hive")};
        PlanCheck.Finding found = board(PLAN, two).check().stream()
                .filter(one -> one.kind() == CheckKind.SHADOWED)
                .findFirst()
                .orElseThrow();
        assertThat(found.samples()).containsExactly("how to build a bee hive");
        assertThat(found.searches().sum()).isEqualTo(200);
        assertThat(board(PLAN, two[0], two[1], new ServeEntry.GroupsKeptApart(true))
                        .check())
                .noneMatch(one -> one.kind() == CheckKind.SHADOWED);
        assertThat(board(PLAN.with(Set.of(MatchType.EXACT)), two).check())
                .noneMatch(one -> one.kind() == CheckKind.SHADOWED);
    }

    @Test
    void namesHaveTheirFieldsAndNoTwoAreTheSame() {
        PlanNames names = new PlanNames(
                "C",
                "{number} {theme} {match type} {date}",
                "new ",
                " x",
                PlanNames.Letters.CAPITALS,
                22,
                true,
                "2026");
        Board board =
                board(PLAN.with(names).with(Set.of(MatchType.EXACT)), new GroupDecision.GroupNamed("jars", "ja<r>s"));
        assertThat(names(board))
                .containsExactly(
                        "new C x / new 1 HIVES exact x",
                        "new C x / new 2 JA R S exact x",
                        "new C x / new 3 CAGES exact x");
        Board cut = board(
                PLAN.with(new PlanNames("C", "all {theme}", "", "", PlanNames.Letters.SMALL, 10, false, "")),
                new GroupDecision.GroupNamed("hives", "beautiful Hives"),
                new GroupDecision.GroupNamed("jars", "beautiful jars"));
        assertThat(names(cut)).containsExactly("C / all", "C / all 2", "C / all cages");
        assertThatThrownBy(() -> PlanNames.of("C", "ads")).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> PlanNames.of("=C", "{theme}")).isInstanceOf(Refusal.class);
    }

    /** Counted by hand: the middle of a figure times the factor, rounded down, not above the highest. */
    @ParameterizedTest
    @CsvSource({
        "LOW_BID, 100, 0, 0, 0.40, 0.20",
        "HIGH_BID, 50, 0, 0, 0.45, 0.20",
        "HIGH_BID, 100, 100000, 500000, 0.50, 0.40",
        "CPC, 110, 50000, 0, 0.65, 0.30",
        "NOTHING, 100, 0, 0, '', ''",
    })
    void bidsFollowFromFigures(PlanBids.From from, int percent, long step, long cap, String hive, String jar) {
        Plan plan = board(PLAN.with(new PlanBids(from, 0, percent, step, cap))).plan();
        assertThat(bid(plan, "bee hive")).isEqualTo(hive);
        assertThat(bid(plan, "honey jar")).isEqualTo(jar);
        assertThat(bid(plan, "queen cage")).as("of which nothing is known").isEmpty();
    }

    private static String bid(Plan plan, String keyword) {
        return plan.rows()
                .filter(row -> row.keyword().equals(keyword))
                .findFirst()
                .orElseThrow()
                .maxCpc();
    }

    /** A click that converts one time in forty into 20 is worth 0.50, and at four times the cost may cost 0.125. */
    @Test
    void aBidFromEstimatedValueIsWhatAClickBringsByTheWantedReturn() {
        Assumptions assumed = new Assumptions(
                Map.of(
                        Assumed.CLICK_SHARE, Span.of(3_000),
                        Assumed.CONVERSION_RATE, Span.of(250),
                        Assumed.VALUE, Span.of(20_000_000)),
                CostBy.NOTHING);
        Board board = board(
                PLAN.with(new PlanBids(PlanBids.From.ESTIMATED_VALUE, 0, 400, 0, 0)),
                new ValueEntry.AssumptionsSet("", "", assumed));
        assertThat(bid(board.plan(), "queen cage")).isEqualTo("0.125");
        assertThat(bid(
                        board(PLAN.with(new PlanBids(PlanBids.From.ESTIMATED_VALUE, 0, 400, 0, 0)))
                                .plan(),
                        "bee hive"))
                .as("nothing is assumed")
                .isEmpty();
    }

    @Test
    void aHandSaysBidAndPageOfAnAdGroupAndTakesThemBack() {
        Entry said = new ServeEntry.AdGroupSaid("jars", 700_000, "https://shop.example/jars");
        Plan plan = board(PLAN.with(PlanBids.fixed(450_000)), said).plan();
        assertThat(bid(plan, "honey jar with lid")).isEqualTo("0.70");
        assertThat(bid(plan, "bee hive")).isEqualTo("0.45");
        assertThat(plan.rows().filter(row -> !row.page().isEmpty()).map(Plan.Row::adGroup))
                .containsOnly("jars");
        Plan back = board(PLAN, said, new ServeEntry.AdGroupSaid("jars", 0, "")).plan();
        assertThat(back.hasPages()).isFalse();
        for (String page : List.of("shop.example", "javascript:alert(1)", "https://a b")) {
            assertThatThrownBy(() -> new ServeEntry.AdGroupSaid("jars", 0, page))
                    .isInstanceOf(Refusal.class);
        }
    }

    @Test
    void pagesComeFromAPatternOrAreThoseThatListsTell() {
        Board pattern = board(
                PLAN.with(new PlanPages(true, false, "https://shop.example/{theme}/")),
                new GroupDecision.GroupNamed("jars", "Gläser & Döschen"));
        assertThat(pattern.plan().rows().map(Plan.Row::page).distinct())
                .contains("https://shop.example/hives/", "https://shop.example/glaser-doschen/");
        String pages =
                "keyword,final url\nx,https://shop.example/shop/honey-jars\ny,https://shop.example/bee-hives/flat\n"
                        + "z,https://shop.example/bee-hives\n";
        List<Entry> entries = List.of(
                group("bee hive", "bee hive"),
                group("honey jar", "honey jar"),
                group("queen cage", "queen cage"),
                new ServeEntry.PlanSettingsChosen(PLAN.with(new PlanPages(false, true, ""))));
        Plan picked = Board.of(List.of(TestLists.lines(1, LIST), TestLists.lines(2, pages)), Recipe.of(entries, "en"))
                .plan();
        assertThat(picked.rows()
                        .filter(row -> !row.page().isEmpty())
                        .collect(Collectors.toMap(Plan.Row::adGroup, Plan.Row::page, (one, other) -> one)))
                .containsEntry("bee hive", "https://shop.example/bee-hives")
                .containsEntry("honey jar", "https://shop.example/shop/honey-jars")
                .doesNotContainKey("queen cage");
        assertThatThrownBy(() -> new PlanPages(true, true, "shop/{theme}")).isInstanceOf(Refusal.class);
    }

    @Test
    void smallGroupsAreLeftOutOrJoinARelatedGroupAndThePlanSaysSo() {
        PlanGroups out = new PlanGroups(false, false, 2, PlanGroups.Small.LEFT_OUT, false);
        Board board = board(PLAN.with(out));
        assertThat(names(board)).containsExactly("Campaign 1 / hives", "Campaign 1 / jars");
        assertThat(board.plan().notes())
                .anyMatch(note -> note.toString().startsWith("1 group with 1 keywords left out"));
        Entry kept = new SiftEntry.Judged(List.of("honey jar"), Status.KEPT);
        Board withKept = board(PLAN.with(new PlanGroups(false, false, 1, PlanGroups.Small.LEFT_OUT, true)), kept);
        assertThat(names(withKept)).containsExactly("Campaign 1 / jars");
        String list =
                "oak hive stand a\noak hive stand b\noak hive stand c\noak hive stand d\nsmoker lid\nsmoker fuel\n";
        GroupDecision alone = group("oak stand", "oak hive stand d");
        PlanGroups join = new PlanGroups(false, false, 2, PlanGroups.Small.INTO_RELATED, false);
        Plan joined = Board.of(
                        List.of(TestLists.lines(1, list)),
                        Recipe.of(List.of(alone, new ServeEntry.PlanSettingsChosen(PLAN.with(join))), "en"))
                .plan();
        assertThat(joined.count().keywords()).isGreaterThanOrEqualTo(4);
        assertThat(joined.campaigns().getFirst().adGroups())
                .allMatch(group -> group.keywords().size() >= 2);
    }

    /** Whatever is chosen, what is counted before is what leaves, and no keyword is in two campaigns in one match type. */
    @Test
    void theCountBeforeIsWhatLeaves() {
        Random random = new Random(7);
        Entry tag = new SiftEntry.Tagged(List.of("honey jar", "bee hive"), List.of(), "t", true);
        for (int round = 0; round < 60; round++) {
            PlanCampaigns.By by = PlanCampaigns.By.values()[random.nextInt(PlanCampaigns.By.values().length)];
            PlanSettings settings = new PlanSettings(
                    new PlanStructure(random.nextInt(3), random.nextBoolean(), random.nextBoolean()),
                    PlanCampaigns.by(by),
                    new PlanGroups(
                            false,
                            random.nextBoolean(),
                            1 + random.nextInt(3),
                            PlanGroups.Small.values()[random.nextInt(2)],
                            false),
                    random.nextBoolean() ? EnumSet.allOf(MatchType.class) : EnumSet.of(MatchType.EXACT),
                    PlanNames.of("C {part}", "{theme}"),
                    PlanBids.NONE,
                    PlanPages.INHERITED);
            Board board = board(settings, tag);
            Plan plan = board.plan();
            assertThat(plan.count()).as("%s", settings).isEqualTo(board.planCount());
            assertThat(board(PLAN, tag).planIf(settings, 3).count()).isEqualTo(plan.count());
            assertThat(plan.rows().count()).isEqualTo(plan.count().rows());
            assertThat(plan.rows()
                            .map(row -> row.keyword() + row.matchType())
                            .distinct()
                            .count())
                    .isEqualTo(plan.count().rows());
            Set<String> once = new HashSet<>();
            assertThat(names(board)).allMatch(name -> once.add(name.toLowerCase(Locale.ROOT)));
        }
    }

    /** 800 keywords in 3 match types are 2,400 rows (common practice). */
    @Test
    void keywordsTimesMatchTypesAreRows() {
        String list = IntStream.range(0, 800).mapToObj(i -> "hive part" + i).collect(Collectors.joining("\n"));
        Board board = Board.of(
                List.of(TestLists.lines(1, list)),
                Recipe.of(
                        List.of(new ServeEntry.PlanSettingsChosen(PLAN.with(EnumSet.allOf(MatchType.class))
                                .with(new PlanGroups(false, true, 1, PlanGroups.Small.LEFT_OUT, false)))),
                        "en"));
        assertThat(board.planCount().rows()).isEqualTo(2_400);
        assertThat(TestPlan.written(board, "plan.csv").lines()).hasSize(2_401);
    }
}
