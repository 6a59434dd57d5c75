package smorgas.core.board;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.Timeout;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.FoldEntry;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.fold.Cleaning;
import smorgas.core.recipe.group.GroupSettings;
import smorgas.core.recipe.group.Method;

/** Words of thousands of letters, as broken lists and cleanings bring them: every stage comes to an end in any case. */
class LongWordsTest {

    private static String list() {
        return IntStream.range(0, 60)
                .mapToObj(i -> "fern " + word(i % 20, 100 + i * 3) + " " + word(i, 30))
                .collect(Collectors.joining("\n", "keyword\nfern pot\nfern pots\nferm pot\n", "\n"));
    }

    private static String word(int seed, int letters) {
        return new Random(seed)
                .ints(letters, 'a', 'z' + 1)
                .collect(StringBuilder::new, StringBuilder::appendCodePoint, StringBuilder::append)
                .toString();
    }

    @Test
    @Timeout(value = 60, unit = TimeUnit.SECONDS, threadMode = Timeout.ThreadMode.SEPARATE_THREAD)
    void everyStageOfThemIsComputed() {
        Cleaning longer = new Cleaning.Replace(Cleaning.Match.PATTERN, "([a-z])", "$1$1$1$1$1$1$1$1$1$1");
        Recipe usual = Recipe.of(List.of(new FoldEntry.CleaningAdded(1, longer)), "en");
        GroupSettings settings = usual.grouping().settings();
        for (Method method : List.of(
                settings.method(), settings.themes(Rules.NEWEST.settings().themes()))) {
            Board board = Board.of(List.of(TestLists.lines(1, list())), usual.withGroups(settings.with(method)));
            assertThat(board.keywords().size()).isGreaterThan(50);
            assertThat(board.misspellings())
                    .extracting(found -> found.wrong().length())
                    .allMatch(length -> length <= 50);
            assertThat(board.foldReport()).isNotNull();
            assertThat(board.phrases()).isNotNull();
            assertThat(board.usualViews()).isNotNull();
            assertThat(board.overlap()).isNotNull();
            assertThat(board.groups().keywords(0)).isPositive();
            assertThat(board.groups().grouping().dial()).isNotNull();
            assertThat(board.plan().notExported()).isNotEmpty();
            assertThat(board.check()).isNotNull();
            assertThat(board.apart()).isNotNull();
            assertThat(board.negatives()).isNotNull();
        }
    }
}
