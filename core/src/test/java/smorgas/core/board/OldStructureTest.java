package smorgas.core.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import org.junit.jupiter.api.Test;
import smorgas.core.board.OldStructure.Fate;
import smorgas.core.gather.Lines;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import smorgas.core.serve.PlanRecord;
import smorgas.core.value.Reported;
import smorgas.core.value.TwoProportions.Verdict;

/** A small campaign beside groups that were laid out by hand; what becomes of each ad group was written down first. */
class OldStructureTest {

    /** Keep stays; Mix is split; One and Two join; Gone ends; the paused, the negative and the formula are no part of it. */
    private static final String FILE = """
            Campaign,Ad group,Keyword,Match type,Status,Max CPC,Final URL,Clicks,Impressions,Cost,Conversions,Headline 1,Quality score
            C,Keep,bee suit,Exact,Enabled,0.40,https://bees.example/a,10,100,4,1
            C,Keep,bee suits,Phrase,Enabled,0.40,https://bees.example/a,5,50,2,0
            C,Mix,bee hive,Exact,Enabled,0.50,https://bees.example/b,20,400,9,2,Hives,8
            C,Mix,honey jar,Broad,Enabled,0.30,https://bees.example/b,7,120,2,0.5,Jars that sell,7
            C,One,jar lid,Exact,Enabled,,,1,10,,
            D,Two,lid for jar,Phrase,Enabled,,,2,20,,
            D,Gone,toy bee,Exact,Enabled,,,,,,
            D,Sleeps,bee hive,Exact,Paused,,,9,9,9,9
            C,Mix,free,Negative exact,Enabled,,,,,,
            D,=cmd(),bee hive,Exact,Enabled,,,,,,
            D,Two,honey jars,Exact,Enabled,,,3,30,,,Seldom shown,5
            """;

    private static final Lines CAMPAIGN = TestLists.lines(2, FILE);

    private static Board board() {
        return Board.of(
                List.of(
                        TestLists.lines(
                                1,
                                "keyword,searches\nbee suit,90\nbee hive,80\nhoney jar,70\njar lid,60\nlid for jar,50\ntoy bee,40\nwax,30\nwax block,20\n"),
                        CAMPAIGN.bringing(false)),
                Recipe.of(
                        List.of(
                                new SiftEntry.RuleAdded(new Rule(1, new Condition.HasWord("toy"), Status.DROPPED)),
                                placed("suits", "bee suit"),
                                placed("hives", "bee hive"),
                                placed("jars", "honey jar", "jar lid", "lid for jar"),
                                placed("waxes", "wax", "wax block")),
                        "en"));
    }

    private static GroupDecision placed(String group, String... keywords) {
        return new GroupDecision.KeywordsPlaced(List.of(keywords), List.of(), group);
    }

    private static OldStructure structure(Board board) {
        return OldStructure.of(board, List.of(CAMPAIGN)).orElseThrow();
    }

    @Test
    void everyAdGroupHasTheFateThatWasWrittenDown() {
        OldStructure structure = structure(board());
        assertThat(structure.groups())
                .extracting(group -> group.name() + " " + group.fate())
                .containsExactlyInAnyOrder("Keep STAYS", "Mix SPLITS", "One JOINS", "Two JOINS", "Gone ENDS");
        assertThat(structure.count(Fate.JOINS)).isEqualTo(2);
        assertThat(structure.groups()).noneMatch(OldStructure.OldGroup::mixed);
        OldStructure.OldGroup mix = structure.groups().stream()
                .filter(group -> group.name().equals("Mix"))
                .findFirst()
                .orElseThrow();
        assertThat(mix.sums()).isEqualTo(new Reported(27, 520, 11_000_000, 250));
        assertThat(mix.into()).hasSize(2);
        assertThat(structure.fresh().cardinality()).isEqualTo(1);
    }

    @Test
    void whatCompetesWhatHasNoExactMatchAndWhatIsTakenOverIsTold() {
        Board board = board();
        OldStructure structure = structure(board);
        assertThat(structure.twice()).singleElement().satisfies(one -> assertThat(one.keyword() + ": " + one.places())
                .isEqualTo("honey jar: [C / Mix, D / Two as honey jars]"));
        assertThat(structure.withoutExact()).containsExactly("bee suits", "honey jar", "lid for jar");
        int jars = board.groups().find("jars");
        assertThat(structure.heir(jars).orElseThrow())
                .isEqualTo(new OldStructure.Heir(
                        new Reported(13, 180, 2_000_000, 50),
                        "https://bees.example/b",
                        "Jars that sell",
                        3,
                        OptionalDouble.of(300_000),
                        OptionalDouble.of(6)));
        assertThat(structure.heir(board.groups().find("waxes"))).isEmpty();
    }

    @Test
    void whatRunsIsAPlanThatCanBePausedAndBroughtBack() {
        PlanRecord record = structure(board()).record();
        assertThat(record.rows())
                .filteredOn(row -> row.kind() == PlanRecord.Kind.AD_GROUP)
                .extracting(PlanRecord.Row::adGroup)
                .containsExactly("Keep", "Mix", "One", "Two", "Gone");
        assertThat(record.rows())
                .contains(new PlanRecord.Row(
                        PlanRecord.Kind.KEYWORD,
                        "C",
                        "Mix",
                        "honey jar",
                        "Broad",
                        "0.30",
                        "https://bees.example/b",
                        ""));
    }

    /** The same campaign in two files is the same; its order can be by what costs most. */
    @Test
    void aCampaignOfSeveralFilesIsOne() {
        String[] rows = FILE.split("(?<=\n)");
        Lines first = TestLists.lines(2, rows[0] + String.join("", Arrays.copyOfRange(rows, 1, 5)));
        Lines second = TestLists.lines(3, rows[0] + String.join("", Arrays.copyOfRange(rows, 5, rows.length)));
        Board board = board();
        OldStructure both = OldStructure.of(board, List.of(first, second)).orElseThrow();
        assertThat(both.groups()).isEqualTo(structure(board).groups());
        assertThat(both.record()).isEqualTo(structure(board).record());
        assertThat(both.order(OldStructure.By.COST).stream()
                        .map(place -> both.groups().get(place).name()))
                .startsWith("Mix", "Keep");
        assertThat(both.bidOn().cardinality()).isEqualTo(6);
        OldStructure.OldGroup mix =
                both.groups().get(both.order(OldStructure.By.COST).getFirst());
        assertThat(mix.quality()).hasValue(7.5);
        assertThat(mix.bid()).hasValue(400_000);
    }

    /** Half of Mix wants to know how, half wants to buy; of All four in five want to buy. */
    @Test
    void anAdGroupThatMixesIsTold() {
        Lines campaign = TestLists.lines(
                2,
                "campaign,ad group,keyword\nC,Mix,how to build a hive\nC,Mix,buy bee hive\nC,All,buy honey jar\n"
                        + "C,All,honey jar price\nC,All,cheap honey jar\nC,All,honey jar for sale\nC,All,how to clean a honey jar\n");
        Board board = Board.of(List.of(campaign), Recipe.empty("en"));
        assertThat(OldStructure.of(board, List.of(campaign)).orElseThrow().groups())
                .extracting(group -> group.name() + " " + group.mixed())
                .containsExactlyInAnyOrder("Mix true", "All false");
    }

    /** What people typed is in no list of ours, but the ad group that answered it is. */
    @Test
    void whatIsNotAKeywordCountsToTheAdGroupThatAnsweredIt() {
        Board board = board();
        Lines since = TestLists.lines(
                3,
                "search term,ad group,clicks,impressions\nwhere is wax sold,waxes,7,70\nhoney jar,waxes,5,50\nelse,Old,3,30\n");
        List<BeforeAfter.Row> rows = BeforeAfter.of(board, CAMPAIGN, since);
        assertThat(rows)
                .filteredOn(row -> row.after().clicks() > 0)
                .extracting(row -> (row.group() < 0 ? "" : board.groups().name(row.group())) + " "
                        + row.after().clicks())
                .containsExactlyInAnyOrder("waxes 7", "jars 5", " 3");
    }

    @Test
    void theWeeksSinceAreComparedGroupByGroup() {
        Board board = board();
        Lines since = TestLists.lines(
                3,
                "keyword,clicks,impressions,conversions\nbee hives,90,400,3\nbee suit,11,100,1\nunheard of,5,50,0\n");
        List<BeforeAfter.Row> rows = BeforeAfter.of(board, CAMPAIGN, since);
        BeforeAfter.Row hives = rows.stream()
                .filter(row -> row.group() == board.groups().find("hives"))
                .findFirst()
                .orElseThrow();
        // A report tells of paused rows too: 29 clicks of 409 impressions before.
        assertThat(hives.before().clicks()).isEqualTo(29);
        assertThat(hives.after().clicks()).isEqualTo(90);
        assertThat(hives.clickThrough().verdict()).isEqualTo(Verdict.ROSE);
        assertThat(hives.conversion().verdict()).isEqualTo(Verdict.OPEN);
        assertThat(rows).anySatisfy(row -> {
            assertThat(row.group()).isEqualTo(-1);
            assertThat(row.after().clicks()).isEqualTo(5);
        });
        assertThat(BeforeAfter.total(rows).after().clicks()).isEqualTo(106);
    }
}
