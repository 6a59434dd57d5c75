package smorgas.core.serve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.SequencedMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import smorgas.core.board.Board;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.serve.AdTemplate;
import smorgas.core.recipe.serve.PlanAds;
import smorgas.core.recipe.serve.PlanBids;
import smorgas.core.text.Refusal;

/** Ads from templates, and what the check finds. */
class AdsTest {

    private static final String LIST =
            "keyword,searches,low bid\nbee hive,1000,0.40\nbee hives kit,90,\nhoney jar,800,0.20\n"
                    + "how to wash a honey jar,500,\nqueen cage,20,0.10\nsmoker @ home,7,\nstray thing,60,\n";

    private static final AdTemplate AD = new AdTemplate(
            List.of("{Theme} for You", "Buy {keyword} Now", "{offer}"),
            List.of("{offer}. Order your {theme} today.", "Rated by keepers."),
            List.of("{theme}", "shop"));

    private static Board board(Entry... entries) {
        List<Entry> all = new ArrayList<>(List.of(
                new GroupDecision.KeywordsPlaced(List.of("bee hive", "bee hives kit"), List.of(), "hives"),
                new GroupDecision.KeywordsPlaced(
                        List.of("honey jar", "how to wash a honey jar"), List.of(), "honey jars"),
                new GroupDecision.KeywordsPlaced(List.of("queen cage", "smoker @ home"), List.of(), "cages")));
        all.addAll(List.of(entries));
        return Board.of(List.of(TestLists.lines(1, LIST)), Recipe.of(all, "en"));
    }

    private static Entry ads(String offer, AdTemplate... templates) {
        SequencedMap<String, String> words = new LinkedHashMap<>(Map.of("offer", offer));
        return new ServeEntry.AdsSet(new PlanAds(true, List.of(templates), words));
    }

    private static Plan.Ad ad(Board board, int group) {
        return board.plan().campaigns().getFirst().adGroups().get(group).ads().getFirst();
    }

    @Test
    void anAdSaysTheThemeItsKeywordAndWhatIsOffered() {
        Plan.Ad ad = ad(board(ads("Free delivery", AD)), 0);
        assertThat(ad.headlines()).containsExactly("Honey Jars for You", "Buy honey jar Now", "Free delivery");
        assertThat(ad.descriptions())
                .containsExactly("Free delivery. Order your honey jars today.", "Rated by keepers.");
        assertThat(ad.paths()).containsExactly("honey-jars", "shop");
        assertThat(ad.shortened()).isEmpty();
        AdTemplate inserted = new AdTemplate(List.of("{insert:Theme} Sale", "{insert:Bee Gear}"), List.of(), List.of());
        assertThat(ad(board(ads("", inserted)), 1).headlines())
                .containsExactly("{KeyWord:Hives} Sale", "{KeyWord:Bee Gear}");
    }

    /** Limits common to ad platforms, from memory: 30, 90 and 15 characters; full-width letters count as two. */
    @ParameterizedTest
    @CsvSource({
        "aaaaaaaaa bbbbbbbbb cccccccccc, aaaaaaaaa bbbbbbbbb cccccccccc",
        "aaaaaaaaa bbbbbbbbb ccccccccccc, aaaaaaaaa bbbbbbbbb",
        "aaaaaaaaaabbbbbbbbbbccccccccccd, aaaaaaaaaabbbbbbbbbbcccccccccc",
        "蜂蜜蜂蜜蜂蜜蜂蜜蜂蜜蜂蜜蜂蜜蜂, 蜂蜜蜂蜜蜂蜜蜂蜜蜂蜜蜂蜜蜂蜜蜂",
        "蜂蜜蜂蜜蜂蜜蜂蜜蜂蜜蜂蜜蜂蜜蜂蜜, 蜂蜜蜂蜜蜂蜜蜂蜜蜂蜜蜂蜜蜂蜜蜂",
        "'Order today, get it tomorrow & more', 'Order today, get it tomorrow'",
    })
    void whatIsTooLongIsCutBetweenWordsAndMarked(String written, String fits) {
        assertThat(AdWriter.fit(written, AdTemplate.LONGEST_HEADLINE)).isEqualTo(fits);
        Plan.Ad ad = ad(board(ads("", new AdTemplate(List.of(written), List.of(), List.of()))), 0);
        assertThat(ad.headlines()).containsExactly(fits);
        assertThat(ad.shortened().isEmpty()).isEqualTo(written.equals(fits));
    }

    @Test
    void lengthsAreCountedToTheLetter() {
        assertThat(AdWriter.width("a".repeat(90))).isEqualTo(90);
        assertThat(AdWriter.width("{KeyWord:Bee Gear}"))
                .as("of an inserted keyword its default")
                .isEqualTo(8);
        assertThat(AdWriter.fit("x".repeat(91), AdTemplate.LONGEST_DESCRIPTION)).hasSize(90);
        assertThat(AdWriter.fit("x".repeat(16), AdTemplate.LONGEST_PATH)).hasSize(15);
        assertThat(AdWriter.fit("Buy now {KeyWord:Very Long Gear For Bees}", 20))
                .isEqualTo("Buy now");
    }

    @Test
    void adsAreWrittenByHandReplacedEverywhereAndLeftToTheTemplatesAgain() {
        Entry said = new ServeEntry.AdsSaid(
                "hives", List.of(new AdTemplate(List.of("Oak Hives"), List.of("Order now."), List.of())));
        Entry replaced = new ServeEntry.AdsReplaced("Order", "Ask for");
        Board board = board(ads("Sale", AD), said, replaced);
        assertThat(ad(board, 0).descriptions()).first().asString().contains("Ask for your honey jars");
        assertThat(ad(board, 1)).isEqualTo(new Plan.Ad(List.of("Oak Hives"), List.of("Ask for now.")));
        Board back = board(ads("Sale", AD), said, new ServeEntry.AdsSaid("hives", List.of()));
        assertThat(ad(back, 1).headlines()).contains("Hives for You");
        assertThatThrownBy(() -> new AdTemplate(List.of(), List.of("x"), List.of()))
                .isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new AdTemplate(List.of("a\nb"), List.of(), List.of()))
                .isInstanceOf(Refusal.class);
        for (String run : List.of("=1+1", "+50%", "-20% today", "@cmd")) {
            assertThatThrownBy(() -> new AdTemplate(List.of(run), List.of(), List.of()))
                    .isInstanceOf(Refusal.class);
            assertThatThrownBy(() -> ads(run, AD)).isInstanceOf(Refusal.class);
        }
        assertThatThrownBy(() -> board(
                        ads("Sale", new AdTemplate(List.of("Order"), List.of(), List.of())),
                        new ServeEntry.AdsReplaced("Order", "")))
                .as("an ad without a headline is none")
                .isInstanceOf(Refusal.class);
    }

    @Test
    void aHeadlineThatAnAdOfAnOwnCampaignSaysTwiceIsFound() {
        String header = "keyword,ad group,match type,headline 1,headline 2,description\n";
        assertThat(own(header + "hive stand,hives,Exact,Cedar Hives,Cedar Hives,Made here\n")
                        .check())
                .filteredOn(found -> found.kind() == CheckKind.SAME_HEADLINE)
                .singleElement()
                .satisfies(found -> assertThat(found.count()).isEqualTo(1));
        assertThat(own(header + "hive stand,hives,Exact,Cedar Hives,Oak Hives,Made here\n")
                        .check())
                .noneMatch(found -> found.kind() == CheckKind.SAME_HEADLINE);
    }

    private static Board own(String campaign) {
        GroupDecision hives = new GroupDecision.KeywordsPlaced(List.of("hive stand"), List.of(), "hives");
        return Board.of(List.of(TestLists.lines(1, campaign)), Recipe.of(List.of(hives), "en"));
    }

    @Test
    void whatMustBeMendedCanBe() {
        for (CheckKind kind : CheckKind.values()) {
            boolean adoptedOneByOne = kind == CheckKind.TWICE;
            assertThat(kind.fix().isPresent() || kind.leads().isPresent() || adoptedOneByOne)
                    .as(kind.name())
                    .isTrue();
        }
    }

    @Test
    void theCheckFindsPlantedFaultsTheDearestFirst() {
        Board board = board(
                new ServeEntry.PlanSettingsChosen(
                        Rules.NEWEST.settings().plan().with(new PlanBids(PlanBids.From.LOW_BID, 0, 100, 0, 0))),
                ads(
                        "",
                        new AdTemplate(
                                List.of("{Theme} of the Finest Oak Wood", "{price}"), List.of("One."), List.of())),
                new GroupDecision.Membership(List.of("queen cage"), List.of(), "hives", GroupDecision.Held.ALSO));
        List<PlanCheck.Finding> found = board.check();
        Map<CheckKind, PlanCheck.Finding> byKind = new LinkedHashMap<>();
        found.forEach(one -> byKind.put(one.kind(), one));
        assertThat(found.getFirst().kind()).isEqualTo(CheckKind.NOT_EXPORTED);
        assertThat(byKind.get(CheckKind.NOT_EXPORTED).samples()).containsExactly("smoker @ home");
        assertThat(byKind.get(CheckKind.TWICE).samples()).containsExactly("queen cage");
        assertThat(byKind.get(CheckKind.NO_BID).samples()).contains("how to wash a honey jar", "bee hives kit");
        assertThat(byKind.get(CheckKind.MIXED).samples()).containsExactly("honey jars");
        assertThat(byKind.get(CheckKind.MIXED).searches().sum()).isEqualTo(1300);
        assertThat(byKind.get(CheckKind.SINGLE).samples()).containsExactly("cages");
        assertThat(byKind.get(CheckKind.NO_PAGE).count()).isEqualTo(3);
        assertThat(byKind.get(CheckKind.THIN_AD).count()).isEqualTo(3);
        assertThat(byKind.get(CheckKind.CUT_TEXT).samples()).contains("Honey Jars of the Finest Oak");
        assertThat(byKind.get(CheckKind.OPEN_FIELD).count()).isEqualTo(3);
        assertThat(byKind.get(CheckKind.UNGROUPED).samples()).containsExactly("stray thing");
        assertThat(byKind).doesNotContainKeys(CheckKind.NO_AD, CheckKind.LARGE, CheckKind.SAME_NAME);
        List<Long> costs =
                found.stream().skip(1).map(finding -> finding.searches().sum()).toList();
        assertThat(costs).isSortedAccordingTo(java.util.Comparator.reverseOrder());
    }
}
