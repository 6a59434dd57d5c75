package smorgas.core.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Objects;
import java.util.TreeSet;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import smorgas.core.figure.Figure;
import smorgas.core.gather.BasketReader;
import smorgas.core.gather.Halt;
import smorgas.core.gather.Lines;
import smorgas.core.gather.RawList;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.gather.ReadAs;
import smorgas.core.serve.PlanRecord;

/**
 * What about two thousand lines in five languages come to, keyword by keyword, group by group and row by row of the plan. The
 * lines are those of lists that were grouped by judgement, a made Italian one, and some that are hard to fold; their figures
 * are made up. Whatever changes an outcome (a word list, a constant, a library) changes it here.
 * It tells what changed, not whether that is good: the lists that were grouped by judgement tell that.
 */
class CorpusTest {

    private static final boolean STORE = "store".equals(System.getProperty("smorgas.corpus"));
    private static final Path PLACE = Path.of("src/test/resources/smorgas/core/corpus");

    private static String resource(String name) throws IOException {
        try (InputStream in = CorpusTest.class.getResourceAsStream("/smorgas/core/corpus/" + name)) {
            return new String(Objects.requireNonNull(in, name).readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    /** A line for each keyword with its figures, what it is for and its group, then one for each row of the plan. */
    private static List<String> outcome(String language) throws IOException {
        Recipe recipe = Recipe.empty(language);
        Lines lines = BasketReader.lines(
                        1,
                        new RawList(
                                language,
                                resource(language + ".csv").getBytes(StandardCharsets.UTF_8),
                                ReadAs.FOUND,
                                recipe.folding().decimals()),
                        Halt.NEVER,
                        (line, cells) -> {})
                .lines()
                .orElseThrow();
        Board board = Board.of(List.of(lines), recipe);
        List<String> keywords = new ArrayList<>();
        for (int keyword = 0; keyword < board.keywords().size(); keyword++) {
            int group = board.groups().grouping().groupOf(keyword);
            keywords.add(String.join(
                    "\t",
                    "keyword",
                    board.keywords().text(keyword),
                    new TreeSet<>(board.keywords().tidyTexts(keyword)).toString(),
                    board.facts().exported(Figure.SEARCHES, keyword),
                    board.facts().exported(Figure.HIGH_BID, keyword),
                    board.intents().seen(keyword).toString(),
                    group < 0 ? "" : board.groups().name(group)));
        }
        Collections.sort(keywords);
        PlanRecord.of(board.plan())
                .rows()
                .forEach(row -> keywords.add(row.toString().replace("\n", " / ")));
        return keywords;
    }

    @ParameterizedTest
    @ValueSource(strings = {"en", "de", "fr", "es", "it"})
    void whatComesOfTheCorpusIsWhatIsStored(String language) throws IOException {
        List<String> now = outcome(language);
        if (STORE) {
            Files.write(PLACE.resolve(language + "-outcome.txt"), now);
            return;
        }
        List<String> stored = resource(language + "-outcome.txt").lines().toList();
        List<String> gone = new ArrayList<>(stored);
        gone.removeAll(now);
        List<String> fresh = new ArrayList<>(now);
        fresh.removeAll(stored);
        assertThat(now)
                .as(
                        "In \"%s\" %d lines are otherwise, such as%n%s%nwhere there was%n%s%nIf that is meant, store the outcome"
                                + " again (mvn test -pl core -Dtest=CorpusTest -Dsmorgas.corpus=store) and say in the"
                                + " commit what changed. From version 1.0 on make the next rules instead.",
                        language,
                        fresh.size(),
                        fresh.stream().limit(5).toList(),
                        gone.stream().limit(5).toList())
                .isEqualTo(stored);
    }
}
