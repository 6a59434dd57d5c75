package smorgas.core.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.StringWriter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import smorgas.core.serve.Csv;
import smorgas.core.serve.PlanChanges;
import smorgas.core.serve.PlanRecord;
import smorgas.core.text.Catalogue;
import smorgas.core.text.Message;

/** Two harvests with changes that were laid out by hand: exactly they are reported. */
class DifferenceTest {

    private static final String MARCH =
            "keyword,searches\nbee hive,1000\ncedar hive,200\ntoy hive,150\nskep,90\nsmoker,80\n";
    /** Gone: skep. New: wax press, toy bee. Changed: bee hive. Spelled otherwise by most: cedar hives. */
    private static final String APRIL =
            "keyword,searches\nbee hive,1300\ncedar hives,200\ncedar hive,10\ntoy hive,150\nsmoker,80\nwax press,60\ntoy bee,20\n";

    private static Board board(String list, Entry... entries) {
        List<Entry> all = new ArrayList<>(List.of(
                new SiftEntry.RuleAdded(new Rule(1, new Condition.HasWord("toy"), Status.DROPPED)),
                new GroupDecision.KeywordsPlaced(
                        List.of("bee hive", "cedar hive", "cedar hives"), List.of(), "hives")));
        all.addAll(Arrays.asList(entries));
        return Board.of(List.of(TestLists.lines(1, list)), Recipe.of(all, "en"));
    }

    private static Difference between(Board old, Board now) {
        return Difference.between(Standpoint.of(old), Standpoint.of(now), true);
    }

    private static List<String> texts(Difference difference, Difference.Kind kind) {
        return difference.rows(kind).stream().map(Difference.Row::text).toList();
    }

    @Test
    void aHarvestWithKnownChangesGivesExactlyTheReportExpected() {
        Difference april = between(board(MARCH), board(APRIL));
        assertThat(texts(april, Difference.Kind.NEW)).containsExactly("wax press", "toy bee");
        assertThat(texts(april, Difference.Kind.WAITING)).containsExactly("wax press");
        assertThat(texts(april, Difference.Kind.GONE)).containsExactly("skep");
        assertThat(april.rows(Difference.Kind.SEARCHED))
                .extracting(Difference.Row::text, Difference.Row::was, Difference.Row::is)
                .containsExactly(org.assertj.core.groups.Tuple.tuple(
                        "bee hive", Message.verbatim("1000"), Message.verbatim("1300")));
        assertThat(texts(april, Difference.Kind.DROPPED)).containsExactly("toy bee");
        assertThat(april.rows(Difference.Kind.DROPPED).getFirst().is().toString())
                .contains("toy");
        assertThat(texts(april, Difference.Kind.MOVED)).isEmpty();
        assertThat(april.same()).isEqualTo(4);
        assertThat(april.before()).isEqualTo(5);
        assertThat(april.after()).isEqualTo(6);
    }

    /** Adopted groups stay what they are over other spellings, another order, growth and a keyword that is taken out by hand. */
    @Test
    void groupsKeepTheirIdentityWhileTheirThemeLives() {
        GroupDecision adopted = new GroupDecision.GroupsAsTheyAre(
                List.of(
                        new GroupDecision.GroupsAsTheyAre.Adopted(
                                "hives", List.of("bee hive", "cedar bee hive", "bee hive kit")),
                        new GroupDecision.GroupsAsTheyAre.Adopted("jars", List.of("honey jar", "glass honey jar"))),
                List.of());
        String before =
                "keyword,searches\nbee hive,900\ncedar bee hive,80\nbee hive kit,70\nhoney jar,60\nglass honey jar,50\n";
        String after =
                "keyword,searches\nglass honey jars,55\nhoney jars,66\nbee hive kits,77\ncedar bee hives,88\nbee hives,950\n"
                        + "honey jar lid,20\nbee hive stand,10\n";
        Difference grown = between(
                Board.of(List.of(TestLists.lines(1, before)), Recipe.of(List.of(adopted), "en")),
                Board.of(List.of(TestLists.lines(2, after)), Recipe.of(List.of(adopted), "en")));
        assertThat(grown.rows(Difference.Kind.MOVED)).isEmpty();
        assertThat(grown.same()).isEqualTo(5);
        assertThat(texts(grown, Difference.Kind.NEW)).containsExactly("honey jar lid", "bee hive stand");
        Difference split = between(
                Board.of(List.of(TestLists.lines(1, before)), Recipe.of(List.of(adopted), "en")),
                Board.of(
                        List.of(TestLists.lines(2, after)),
                        Recipe.of(
                                List.of(
                                        adopted,
                                        new GroupDecision.KeywordsPlaced(List.of("bee hive kits"), List.of(), "kits")),
                                "en")));
        assertThat(split.rows(Difference.Kind.MOVED))
                .extracting(row -> row.text() + ": " + row.was() + ", " + row.is())
                .containsExactly("bee hive kits: hives, kits");
    }

    /** The ad platform knows an ad group by its name: it is no other because another spelling is searched more this month. */
    @Test
    void aAdoptedGroupKeepsItsNameWhateverItsKeywordsAreSpelledLike() {
        GroupDecision adopted = new GroupDecision.GroupsAsTheyAre(
                List.of(new GroupDecision.GroupsAsTheyAre.Adopted(
                        "beeswax wraps", List.of("beeswax wraps", "cotton wrap"))),
                List.of());
        String august = "keyword,searches\nbeeswax wraps,900\nbeeswax wrap,10\ncotton wrap,5\n";
        String september = "keyword,searches\nbeeswax wraps,10\nbeeswax wrap,900\ncotton wrap,5\n";
        Recipe recipe = Recipe.of(List.of(adopted), "en");
        Board then = Board.of(List.of(TestLists.lines(1, august)), recipe);
        Board now = Board.of(List.of(TestLists.lines(2, september)), recipe);
        assertThat(then.groups().name(0)).isEqualTo("beeswax wraps");
        assertThat(now.keywords().text(now.keywords().find("beeswax wraps").orElseThrow()))
                .isEqualTo("beeswax wrap");
        assertThat(now.groups().name(0)).isEqualTo("beeswax wraps");
        assertThat(PlanChanges.of(PlanRecord.of(then.plan()), PlanRecord.of(now.plan())).of(PlanChanges.Do.ADD).stream()
                        .filter(change -> change.row().kind() == PlanRecord.Kind.AD_GROUP))
                .isEmpty();
    }

    @Test
    void theSameHarvestInAnotherOrderIsNoDifference() {
        String turned = "keyword,searches\nsmoker,80\nskep,90\ntoy hive,150\ncedar hive,200\nbee hive,1000\n";
        assertThat(between(board(MARCH), board(turned)).nothing()).isTrue();
    }

    private static final String TO_AUGUST = "keyword;searches;2025-09;2025-10;2026-07;2026-08\n";
    private static final String TO_OCTOBER =
            "keyword;searches;Searches: Aug 2026;Searches: Sep 2026;Searches: Oct 2026\n";

    /** Counted by hand: September and October of both years, in the mean; 20% is of the season, 21% is not. */
    @Test
    void whatTheSeasonHasIsToldApart() {
        Difference autumn = between(
                Board.of(
                        List.of(TestLists.lines(
                                1,
                                TO_AUGUST
                                        + "winter wrap;400;800;1200;100;100\nhoney jar;900;1000;1000;900;900\n"
                                        + "new fad;50;10;20;60;100\nskep;90;;90;90;90\nsmoker;70;60;60;80;80\n")),
                        Recipe.empty("en")),
                Board.of(
                        List.of(TestLists.lines(
                                2,
                                TO_OCTOBER
                                        + "winter wrap;1.1K;100;900;1100\nhoney jar;1100;900;1200;1220\n"
                                        + "new fad;400;100;300;600\nskep;80;90;80;80\nsmoker;80;80;70;74\n")),
                        Recipe.empty("en")));
        assertThat(autumn.rows(Difference.Kind.SEASON))
                .extracting(row -> row.text() + ": " + row.season())
                .containsExactly(
                        "winter wrap: Sep 2026 to Oct 2026 1,000, a year before 1,000",
                        "smoker: Sep 2026 to Oct 2026 72, a year before 60");
        assertThat(autumn.rows(Difference.Kind.SEARCHED))
                .extracting(row -> row.text() + ": " + row.season())
                .as("of skep September of the year before is not known")
                .containsExactly(
                        "new fad: Sep 2026 to Oct 2026 450, a year before 15",
                        "honey jar: Sep 2026 to Oct 2026 1,210, a year before 1,000",
                        "skep: ");
        StringWriter text = new StringWriter();
        try (Csv csv = new Csv(text)) {
            DifferenceCsv.write(autumn, Catalogue.english(), csv);
        }
        assertThat(text.toString())
                .contains("what,keyword,searches,was,is,season")
                .contains("\"Sep 2026 to Oct 2026 1,210, a year before 1,000\"");
    }

    /** Months without a year, and the same months again, say nothing of the season. */
    @Test
    void monthsThatTellNoYearOrNothingNewTellNoSeason() {
        String yearless = "keyword,searches,Sep,Oct\nskep,90,80,70\n";
        String same = "keyword,searches,2025-09,2026-09\nskep,100,80,70\n";
        for (String list : List.of(yearless, same)) {
            Difference told = between(
                    Board.of(List.of(TestLists.lines(1, same.replace("100", "60"))), Recipe.empty("en")),
                    Board.of(List.of(TestLists.lines(2, list)), Recipe.empty("en")));
            assertThat(told.rows(Difference.Kind.SEARCHED))
                    .extracting(Difference.Row::season)
                    .containsExactly(Message.NONE);
        }
    }

    @Test
    void whatAHandChangedIsToldWithBothSides() {
        Board now = board(
                MARCH,
                new SiftEntry.Judged(List.of("smoker"), List.of(), Status.KEPT),
                new SiftEntry.Judged(List.of("toy hive"), List.of(), Status.UNDECIDED),
                new SiftEntry.Judged(List.of("skep"), List.of(), Status.DROPPED),
                new GroupDecision.KeywordsPlaced(List.of("cedar hive"), List.of(), "cedar"));
        Difference told = between(board(MARCH), now);
        assertThat(texts(told, Difference.Kind.KEPT)).containsExactly("smoker");
        assertThat(texts(told, Difference.Kind.BACK)).containsExactly("toy hive");
        assertThat(texts(told, Difference.Kind.DROPPED)).containsExactly("skep");
        assertThat(told.rows(Difference.Kind.MOVED))
                .anySatisfy(row -> assertThat(row.text()).isEqualTo("cedar hive"));
        assertThat(told.rows(Difference.Kind.NEW)).isEmpty();
        assertThat(Difference.between(Standpoint.of(board(MARCH)), Standpoint.of(now), false)
                        .rows(Difference.Kind.MOVED))
                .isEmpty();
    }
}
