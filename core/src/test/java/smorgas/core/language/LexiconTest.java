package smorgas.core.language;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.FieldSource;
import smorgas.core.board.Board;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.value.Intent;
import smorgas.core.sift.UsualViews;

/** A language is a folder: what stands in it is used, and one more folder is one more language. */
class LexiconTest {

    static final List<String> LANGUAGES = Lexicon.CODES;

    private static final Path FOLDERS = Path.of("src", "main", "resources", "smorgas", "core", "language");

    private static Set<String> files(String language) throws IOException {
        try (Stream<Path> files = Files.list(FOLDERS.resolve(language))) {
            return files.map(file -> file.getFileName().toString()).collect(Collectors.toCollection(TreeSet::new));
        }
    }

    @Test
    void everyFolderIsALanguageAndIsCalledByItsName() throws IOException {
        try (Stream<Path> folders = Files.list(FOLDERS).filter(Files::isDirectory)) {
            assertThat(folders.map(folder -> folder.getFileName().toString()))
                    .containsExactlyInAnyOrderElementsOf(LANGUAGES);
        }
        assertThat(Lexicon.of("pt").name()).hasToString("Portuguese");
        assertThat(Lexicon.of("no").name()).hasToString("Norwegian");
    }

    @ParameterizedTest
    @FieldSource("LANGUAGES")
    void noFieldOfAGrammarIsMisspelt(String language) throws IOException {
        assertThat(Files.readAllLines(FOLDERS.resolve(language).resolve("grammar.properties"), StandardCharsets.UTF_8))
                .allMatch(line -> line.matches(
                        "(and|stems|plurals|accents|elided|joining|behind|head|near|before-places|after-places"
                                + "|letters|currency) = .+"));
        assertThat(files(language))
                .contains("stop.txt", "little.txt")
                .allMatch(
                        file -> file.matches(
                                "(stop|little|questions|buying|price|negatives|brainstorm|same|intents|plurals|singular-s)"
                                        + "\\.txt|grammar\\.properties|dictionary\\.txt\\.gz|(plurals|dictionary)-LICENSE\\.txt"));
    }

    @Test
    void aLanguageThatIsNotKnownIsEmptyAndFoldsNothing() {
        assertThat(Lexicon.of("xx").stopWords()).isEmpty();
        assertThat(Lexicon.of("../en").lines("stop.txt")).isEmpty();
        assertThat(WordForms.plurals("xx").of("bees")).isEqualTo("bees");
    }

    /** Added as a folder, without a line of Java. */
    @Test
    void portugueseHasAllThatGermanHas() throws IOException {
        Set<String> german = files("de");
        german.remove("plurals.txt"); // of vowels that change, which Portuguese ones do not
        assertThat(files("pt")).containsAll(german);

        Board board = Board.of(
                List.of(TestLists.lines(1, "lista.csv", """
                        palavra-chave,pesquisas
                        comprar colmeia,900
                        colmeia preço,800
                        colmeias preços,300
                        quanto custa uma colmeia,200
                        fato de apicultor barato,400
                        fato de apicultor infantil,350
                        fatos de apicultor baratos,120
                        melhor fumigador,250
                        fumigador perto de mim,90
                        como fazer uma colmeia,700
                        o que é própolis,600
                        """.getBytes(StandardCharsets.UTF_8))), Recipe.empty("pt"));
        assertThat(board.keywords().meant("colmeias preço"))
                .isEqualTo(board.keywords().meant("colmeia preços"));
        assertThat(intent(board, "comprar colmeia")).isEqualTo(Intent.TRANSACTIONAL);
        assertThat(intent(board, "fumigador perto de mim")).isEqualTo(Intent.LOCAL);
        assertThat(intent(board, "o que é própolis")).isEqualTo(Intent.INFORMATIONAL);
        assertThat(intent(board, "melhor fumigador")).isEqualTo(Intent.COMMERCIAL);
        assertThat(board.usualViews())
                .extracting(UsualViews.View::name)
                .map(Object::toString)
                .contains("Questions", "Near me");
        int price = group(board, "colmeia preço");
        assertThat(price).isNotNegative().isEqualTo(group(board, "quanto custa uma colmeia"));
        assertThat(group(board, "fato de apicultor barato")).isNotEqualTo(price);
    }

    private static Intent intent(Board board, String keyword) {
        return board.intents().lead(number(board, keyword)).orElseThrow();
    }

    private static int group(Board board, String keyword) {
        return board.groups().grouping().groupOf(number(board, keyword));
    }

    private static int number(Board board, String keyword) {
        return board.keywords().meant(keyword).orElseThrow();
    }
}
