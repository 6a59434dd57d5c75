package smorgas.core.serve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringReader;
import java.nio.charset.StandardCharsets;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.TreeMap;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import smorgas.core.board.Board;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.ServeEntry;
import smorgas.core.recipe.serve.AdTemplate;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.serve.PlanAds;
import smorgas.core.text.Catalogue;
import smorgas.core.text.Refusal;

/** Layouts of somebody's own, read back by another library than wrote them. */
class PlanLayoutTest {

    private static Board board() {
        return Board.of(
                List.of(TestLists.lines(1, "keyword\nbee hive\n\"bee; hive\"\n")),
                Recipe.of(
                        List.of(
                                new GroupDecision.KeywordsPlaced(List.of("bee hive"), List.of(), "hives"),
                                new ServeEntry.NegativesSaid(
                                        List.of(new ServeEntry.Said("free", "", ServeEntry.Say.PHRASE))),
                                new ServeEntry.PlanSettingsChosen(
                                        Rules.NEWEST.settings().plan().with(Set.of(MatchType.EXACT))),
                                new ServeEntry.AdsSet(new PlanAds(
                                        false,
                                        List.of(new AdTemplate(
                                                List.of("{insert:Hives}", "Second"), List.of("Text"), List.of())),
                                        new TreeMap<>()))),
                        "en"));
    }

    private static List<CSVRecord> written(PlanLayout layout, char between) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        layout.format().write(board().handover("Shop", "EUR", Catalogue.english()), out);
        return CSVFormat.RFC4180
                .builder()
                .setDelimiter(between)
                .get()
                .parse(new StringReader(out.toString(StandardCharsets.UTF_8)))
                .getRecords();
    }

    @Test
    void columnsMatchTypesAndInsertionAreAsTheLayoutSays() throws IOException {
        PlanLayout layout = new PlanLayout(
                "For the Müllers' desk",
                PlanLayout.Between.SEMICOLON,
                EnumSet.allOf(PlanLayout.Kind.class),
                new PlanLayout.Words(false, "b", "p", "E", "not {type}"),
                "<<{default}>>",
                "on",
                List.of(
                        PlanLayout.Column.read("What = kind"),
                        PlanLayout.Column.read("Set = ad group"),
                        PlanLayout.Column.read("How close = Match type"),
                        PlanLayout.Column.read("keyword"),
                        PlanLayout.Column.read("1st = headline 1"),
                        PlanLayout.Column.read("9th = headline 9"),
                        PlanLayout.Column.read("a=b = \"x;y\""),
                        PlanLayout.Column.read("Runs = status")));
        assertThat(written(layout, ';'))
                .extracting(CSVRecord::toList)
                .containsExactly(
                        List.of("What", "Set", "How close", "keyword", "1st", "9th", "a=b", "Runs"),
                        List.of("campaign", "", "", "", "", "", "x;y", "on"),
                        List.of("ad group", "hives", "", "", "", "", "x;y", "on"),
                        List.of("keyword", "hives", "E", "bee hive", "", "", "x;y", "on"),
                        List.of("negative", "", "not p", "free", "", "", "x;y", ""),
                        List.of("ad", "hives", "", "", "<<Hives>>", "", "x;y", "on"));
        assertThat(layout.format().file()).isEqualTo("layout-for-the-müllers-desk.csv");
        assertThat(layout.columns())
                .allMatch(column -> PlanLayout.Column.read(column.line()).equals(column));
    }

    @Test
    void theKeywordCanSayItsMatchTypeAndTheUsualLayoutIsThatOfThePlan() throws IOException {
        PlanLayout usual = PlanLayout.usual("Usual");
        List<String> plan = TestPlan.written(board(), "plan.csv").lines().toList();
        assertThat(written(usual, ',').get(1).toList()).startsWith(plan.get(1).split(","));
        PlanLayout signs = new PlanLayout(
                "s",
                PlanLayout.Between.TAB,
                Set.of(PlanLayout.Kind.KEYWORD, PlanLayout.Kind.NEGATIVE),
                new PlanLayout.Words(true, "", "", "", ""),
                PlanLayout.USUAL_INSERTION,
                "",
                List.of(PlanLayout.Column.read("keyword")));
        assertThat(written(signs, '\t'))
                .extracting(one -> one.get(0))
                .containsExactly("keyword", "[bee hive]", "\"free\"");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "X = nothing",
                "X = headline",
                "X = bid 2",
                "=cmd() = keyword",
                " = keyword",
                "X = \"=1+1\"",
                "X = headline 51"
            })
    void whatCannotBeMeantIsRefused(String line) {
        assertThatThrownBy(() -> PlanLayout.Column.read(line)).isInstanceOf(Refusal.class);
    }
}
