package smorgas.core.recipe;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.HexFormat;
import java.util.List;
import java.util.SortedMap;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import smorgas.core.board.Board;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.fold.FoldRules;
import smorgas.core.recipe.group.SimilarityRules;
import smorgas.core.recipe.serve.PlanRules;
import smorgas.core.text.Refusal;

/** The rules are what decides, and the word lists that ship are those that they name. */
class RulesTest {

    private static final String LIST =
            "keyword\nbeekeeping suit\nbee keeping suit\nbee suit\ncheap bee suit\nbee suit uk\n";

    private static final Board USUAL = board(Rules.NEWEST);

    private static Board board(Rules rules) {
        return Board.of(
                List.of(TestLists.lines(1, "list.csv", LIST.getBytes(StandardCharsets.UTF_8))),
                Recipe.of(List.of(), "en", rules));
    }

    private static Rules with(FoldRules fold, SimilarityRules similarity, PlanRules plan) {
        Rules is = Rules.NEWEST;
        return new Rules(2, fold, similarity, is.themes(), is.intents(), plan, is.settings(), is.data());
    }

    @Test
    void theWordListsAreThoseOfTheRules() throws Exception {
        SortedMap<String, String> found = new TreeMap<>();
        Path all = Path.of("src", "main", "resources", "smorgas", "core", "language");
        try (Stream<Path> files = Files.walk(all)) {
            for (Path file : files.filter(Files::isRegularFile)
                    .filter(file -> !file.toString().contains("LICENSE"))
                    .toList()) {
                found.put(all.relativize(file).toString(), version(file));
            }
        }
        assertThat(found).as("""
                        A word list was changed. Before version 1.0: run CorpusTest to see what it changes, write the \
                        new figures into data-1.txt and say in the commit what changed. From 1.0 on: make the next rules.""").isEqualTo(Rules.NEWEST.data());
    }

    private static String version(Path file) throws Exception {
        return HexFormat.of()
                .formatHex(MessageDigest.getInstance("SHA-256").digest(Files.readAllBytes(file)))
                .substring(0, 12);
    }

    @Test
    void wordsAreFoldedByTheRules() {
        assertThat(USUAL.keywords().size()).isEqualTo(4);
        Rules none = with(new FoldRules(2, 50, FoldRules.FIRST.misspelling()), SimilarityRules.FIRST, PlanRules.FIRST);
        assertThat(board(none).keywords().size()).isEqualTo(5);
    }

    @Test
    void groupsFormByTheRules() {
        SimilarityRules is = SimilarityRules.FIRST;
        SimilarityRules.Dial dial = new SimilarityRules.Dial(1, 1, 500, 0, 1, 1.01, .8);
        SimilarityRules tight = new SimilarityRules(
                is.reading(), is.letters(), is.weights(), is.blend(), is.care(), is.nearest(), is.linkage(), dial, .5);
        assertThat(USUAL.groups().grouping().size()).isEqualTo(1);
        assertThat(board(with(FoldRules.FIRST, tight, PlanRules.FIRST))
                        .groups()
                        .grouping()
                        .size())
                .isZero();
    }

    @Test
    void thePlanIsMadeByTheRules() {
        PlanRules two = new PlanRules(80, 2, .5, 3, 8, 100);
        assertThat(USUAL.plan().notExported()).isEmpty();
        assertThat(board(with(FoldRules.FIRST, SimilarityRules.FIRST, two))
                        .plan()
                        .notExported())
                .isNotEmpty();
    }

    @Test
    void rulesThatThisVersionDoesNotHaveAreRefused() {
        assertThat(Rules.numbered(1)).isEqualTo(Rules.NEWEST);
        assertThatThrownBy(() -> Rules.numbered(2))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("rules 2")
                .hasMessageContaining("Use the version that wrote it");
    }
}
