package smorgas.app.web.find;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import smorgas.app.work.Snapshot;
import smorgas.core.board.Board;
import smorgas.core.gather.BasketReader;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.History;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import smorgas.core.text.Catalogue;
import smorgas.core.text.Message;

/** What the field in the head finds, and where that leads. */
class FinderTest {

    private static final String LIST =
            "keyword,searches\nhive tool,300\nhive lid,900\nhive stand oak,50\nfree hive plans,20\nhoney jar,\n";

    private static List<Finder.Section> find(String text) {
        List<Entry> entries =
                List.of(new SiftEntry.RuleAdded(new Rule(1, new Condition.HasWord("free"), Status.DROPPED)));
        Board board = Board.of(
                List.of(BasketReader.lines(1, "list.csv", LIST.getBytes(StandardCharsets.UTF_8))
                        .lines()
                        .orElseThrow()),
                Recipe.of(entries, "en"));
        return Finder.find(
                "/projects/1",
                text,
                new Snapshot(1, new History(List.of()), board, List.of(), Message.NONE),
                Catalogue.english());
    }

    private static List<String> texts(List<Finder.Section> sections, String kind) {
        return sections.stream()
                .filter(section -> section.kind().toString().equals(kind))
                .flatMap(section -> section.found().stream())
                .map(Finder.Found::text)
                .map(Object::toString)
                .toList();
    }

    @Test
    void keywordsComeTheMostSearchedFirstAndAWordTellsHowManyHaveIt() {
        List<Finder.Section> found = find(" Hive");
        assertThat(texts(found, "Keywords"))
                .containsExactly("hive lid", "hive tool", "hive stand oak", "free hive plans");
        Finder.Found word = found.stream()
                .filter(section -> section.kind().toString().equals("Word"))
                .findFirst()
                .orElseThrow()
                .found()
                .getFirst();
        assertThat(word.figure()).hasToString("4 keywords");
        assertThat(word.url()).isEqualTo("/projects/1/sift?word=hive&offer=hive");
    }

    @Test
    void actsAreFoundByTheirNamesAndByWhatOthersCallThem() {
        assertThat(texts(find("split"), "Acts")).containsExactly("Break down, join, rename or lock a group");
        assertThat(texts(find("dedup"), "Acts")).containsExactly("Choose kinds of folding");
        assertThat(texts(find("download"), "Acts")).contains("Download the plan", "Download keywords as CSV");
        assertThat(texts(find("plit"), "Acts"))
                .as("the middle of a word is no word")
                .isEmpty();
    }

    @Test
    void rulesAreFoundByTheirSentences() {
        assertThat(texts(find("free"), "Rules")).containsExactly("Drop keywords with the word \"free\"");
    }

    @Test
    void nothingAndNonsenseFindNothing() {
        assertThat(find("  ")).isEmpty();
        assertThat(find("(.*")).isEmpty();
        assertThat(find("x".repeat(100_000))).isEmpty();
    }
}
