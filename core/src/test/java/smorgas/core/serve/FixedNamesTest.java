package smorgas.core.serve;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import smorgas.core.board.Board;
import smorgas.core.figure.Fact;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.serve.MatchType;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.value.Intent;
import smorgas.core.text.Catalogue;
import smorgas.core.text.Message;
import smorgas.core.text.Wording;

/** Names that programs read: docs/layouts.md tells all of them, and a catalogue in another language changes none. */
class FixedNamesTest {

    /** A catalogue in which every text is in other words. */
    private static final Wording OTHER = new Wording() {
        @Override
        public String of(Message message) {
            return "[" + Catalogue.english().of(message) + "]";
        }

        @Override
        public Set<String> keys() {
            return Catalogue.english().keys();
        }
    };

    private static Board board() {
        List<Entry> decisions =
                List.of(new GroupDecision.KeywordsPlaced(List.of("hive stand", "hive lid"), List.of(), "hives"));
        String list = "keyword,searches,final url\nhive stand,1000,https://shop.example/hives\nhive lid,20,\n";
        return Board.of(List.of(TestLists.lines(1, list)), Recipe.of(decisions, "en"));
    }

    private static String guide() throws IOException {
        return Files.readString(Path.of("..", "docs", "layouts.md"));
    }

    @Test
    void theGuideTellsTheHeadsOfEveryTable() throws IOException {
        Set<String> heads = new TreeSet<>();
        for (PlanFormat format : PlanFormats.ALL) {
            if (format instanceof PlanTable) {
                String head = TestPlan.written(board(), format.file())
                        .lines()
                        .findFirst()
                        .orElseThrow();
                Arrays.stream(head.split("[,\t]"))
                        .map(cell -> cell.replace("\"", ""))
                        .forEach(heads::add);
                assertThat(guide()).contains("`" + format.file() + "`");
            }
        }
        assertThat(heads).contains("Campaign", "Final URL", "Match type");
        assertThat(heads).allSatisfy(head -> assertThat(guide()).contains("`" + head + "`"));
    }

    @Test
    void theGuideTellsTheNameOfWhatIsKnownOfAKeyword() throws IOException {
        Stream<String> names = Stream.of(
                        Fact.all(Fact.Use.EXPORT).stream().map(Fact::fixedName),
                        Arrays.stream(Status.values()).map(Status::fixedName),
                        Arrays.stream(MatchType.values()).map(MatchType::fixedName),
                        Arrays.stream(Intent.values()).map(Intent::fixedName))
                .flatMap(all -> all);
        assertThat(names).allSatisfy(name -> assertThat(guide()).contains("`" + name + "`"));
    }

    @Test
    void tablesOfThePlanAreTheSameInEveryLanguage() {
        for (PlanFormat format : PlanFormats.ALL) {
            if (format instanceof PlanTable || format instanceof PlanJson) {
                ByteArrayOutputStream out = new ByteArrayOutputStream();
                format.write(board().handover("Shop, spring", "EUR", OTHER), out);
                assertThat(out.toByteArray()).as(format.file()).isEqualTo(TestPlan.bytes(board(), format.file()));
            }
        }
    }
}
