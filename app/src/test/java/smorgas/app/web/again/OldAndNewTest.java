package smorgas.app.web.again;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import smorgas.core.board.Board;
import smorgas.core.board.OldStructure;
import smorgas.core.gather.BasketReader;
import smorgas.core.gather.Lines;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.Recipe;

/** What the page of a campaign beside the groups shows, with figures counted by hand. */
class OldAndNewTest {

    private static final String KEYWORDS =
            "keyword,searches\nbee suit,90\nbee veil,80\nhoney jar,70\njar lid,60\nwax,50\n";

    private static final String FULL = """
            campaign,ad group,keyword,match type,clicks,cost,conversions
            C,Clothes,bee suit,Exact,10,5,1
            C,Clothes,bee veil,Exact,2,1,
            C,Shop,honey jar,Exact,30,9,4
            C,Shop,wax,Exact,1,1,
            """;

    private static Lines list(long basket, String text) {
        return BasketReader.lines(basket, "list " + basket, text.getBytes(StandardCharsets.UTF_8))
                .lines()
                .orElseThrow();
    }

    private static Entry placed(String group, String... keywords) {
        return new GroupDecision.KeywordsPlaced(List.of(keywords), List.of(), group);
    }

    private static Board board(Lines campaign) {
        return Board.of(
                List.of(list(1, KEYWORDS), campaign.bringing(false)),
                Recipe.of(
                        List.of(
                                placed("suits", "bee suit", "bee veil"),
                                placed("jars", "honey jar", "jar lid"),
                                placed("waxes", "wax")),
                        "en"));
    }

    private static OldStructure structure(String campaign) {
        Lines lines = list(2, campaign);
        return OldStructure.of(board(lines), List.of(lines)).orElseThrow();
    }

    private static int place(OldStructure structure, String name) {
        return structure.groups().stream()
                .map(OldStructure.OldGroup::name)
                .toList()
                .indexOf(name);
    }

    private static OldAndNew shown(String campaign, OldStructure.By by, String fate, int opened) {
        return OldAndNew.of(board(list(2, campaign)), structure(campaign), by, fate, opened);
    }

    private static OldAndNew shown(String campaign) {
        return shown(campaign, OldStructure.By.KEYWORDS, "", -1);
    }

    @Test
    void onlyWhatTheListTellsIsAColumn() {
        OldAndNew full = shown(FULL);
        assertThat(full.told()).containsExactly(OldAndNew.Told.CLICKS, OldAndNew.Told.CONVERSIONS, OldAndNew.Told.COST);
        assertThat(full.rows())
                .extracting(row -> row.name() + " " + row.figures())
                .containsExactlyInAnyOrder("Clothes [12, 1, 6.00]", "Shop [31, 4, 10.00]");
        OldAndNew bare = shown("ad group,keyword\nClothes,bee suit\n");
        assertThat(bare.told()).isEmpty();
        assertThat(bare.rows()).singleElement().satisfies(row -> assertThat(row.figures())
                .isEmpty());
    }

    @Test
    void columnsStayWhicheverFateIsLookedAt() {
        OldAndNew joins = shown(FULL, OldStructure.By.KEYWORDS, "SPLITS", -1);
        assertThat(joins.rows()).extracting(OldAndNew.OldRow::name).containsExactly("Shop");
        assertThat(joins.told()).hasSize(3);
        OldAndNew none = shown(FULL, OldStructure.By.KEYWORDS, "ENDS", -1);
        assertThat(none.rows()).isEmpty();
        assertThat(none.told()).hasSize(3);
    }

    @Test
    void adGroupsComeInTheOrderThatIsAskedFor() {
        assertThat(shown(FULL, OldStructure.By.COST, "", -1).rows())
                .extracting(OldAndNew.OldRow::name)
                .containsExactly("Shop", "Clothes");
    }

    @Test
    void whereKeywordsGoIsDrawnForTheOpenedOneAlone() {
        assertThat(shown(FULL, OldStructure.By.CLICKS, "", -1).leftNames()).containsExactly("Shop", "Clothes");
        assertThat(shown(FULL, OldStructure.By.CLICKS, "", place(structure(FULL), "Clothes"))
                        .leftNames())
                .containsExactly("Clothes");
    }

    @Test
    void anOpenedAdGroupTellsItsPartsAndWhatEachTakesOver() {
        OldStructure structure = structure(FULL);
        OldAndNew.Opened opened = OldAndNew.opened(board(list(2, FULL)), structure, place(structure, "Shop"));
        assertThat(opened.fate()).hasToString("is split");
        assertThat(opened.parts())
                .extracting(part -> part.group().name() + ": " + part.count() + " " + part.keywords())
                .containsExactlyInAnyOrder("jars: 1 keyword [honey jar]", "waxes: 1 keyword [wax]");
        assertThat(opened.parts())
                .filteredOn(part -> part.group().name().toString().equals("jars"))
                .singleElement()
                .satisfies(part -> assertThat(part.inherits().toString())
                        .startsWith("from 1 ad group")
                        .contains("4 conversions"));
        assertThat(opened.elsewhere()).isEmpty();
        assertThat(opened.moreParts().toString()).isEmpty();
    }

    @Test
    void theSentenceCountsWhatRunsAndWhatIsNew() {
        assertThat(shown(FULL).sentence())
                .hasToString("2 ad groups run; of ours 3 take something over, and 0 are new.");
        assertThat(shown("ad group,keyword\nClothes,bee suit\n").sentence())
                .hasToString("1 ad group runs; of ours 1 takes something over, and 2 are new.");
    }

    @Test
    void ofVeryManyAdGroupsAHundredAreShownAndTheRestIsCounted() {
        StringBuilder many = new StringBuilder("ad group,keyword\n");
        for (int group = 0; group < 130; group++) {
            many.append("Group ").append(group).append(",thing ").append(group).append('\n');
        }
        OldAndNew shown = shown(many.toString());
        assertThat(shown.rows()).hasSize(100);
        assertThat(shown.more()).hasToString("and 30 more");
    }
}
