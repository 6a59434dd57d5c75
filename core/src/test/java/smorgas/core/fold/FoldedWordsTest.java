package smorgas.core.fold;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Recipe;

/** The words of keywords as they are shown and found, whatever they were folded into. */
class FoldedWordsTest {

    private static FoldedWords folded(String language, String... keywords) {
        Recipe recipe = Recipe.empty(language);
        return Folder.fold(List.of(TestLists.lines(1, String.join("\n", keywords) + "\n")), recipe.folding())
                .folded();
    }

    private static List<String> words(FoldedWords folded, int keyword) {
        return Arrays.stream(folded.rows().row(keyword)).mapToObj(folded::text).toList();
    }

    /** The article that French elides stands in no keyword alone, and its folded form has an ending for plurals. */
    @ParameterizedTest
    @CsvSource({
        "fr, salle d'escalade, salle d escalade",
        "fr, l'eau d'abeilles, l eau d abeilles",
        "it, filtro dell'acqua, filtro dell acqua",
        "en, bee-keeper's hat, bee keeper's hat"
    })
    void aPartOfAWordIsShownAsItIsWritten(String language, String keyword, String shown) {
        assertThat(String.join(" ", words(folded(language, keyword), 0))).isEqualTo(shown);
    }

    @Test
    void ofSeveralPartsThatAreOneWordTheShortestIsShownAndAWordAloneGoesBeforeAll() {
        assertThat(words(folded("fr", "prix d'abeilles", "vente d'abeille"), 0))
                .containsExactly("prix", "d", "abeille");
        assertThat(words(folded("fr", "vente d'abeille", "abeilles", "abeilles noires"), 0))
                .containsExactly("vente", "d", "abeilles");
    }

    @Test
    void aWordIsFoundByEveryWayInWhichItCanBeSaid() {
        FoldedWords folded = folded("fr", "salle d'escalade", "sac poubelle", "corde");
        for (String said : List.of("d", "sac", "sacs", "poubelles", "cordes")) {
            assertThat(folded.find(said)).as(said).isPresent();
        }
        assertThat(folded.find("d").orElseThrow()).isEqualTo(folded.find("ds").orElseThrow());
        assertThat(folded.find("échelle")).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"en", "fr", "de", "es"})
    void numbersAreInTheOrderOfTheTextsAndOfNothingElse(String language) {
        String[] keywords = {"bee hives", "l'eau d'abeille", "hive-stand", "a bee hive", "4.5 mm", "cables d'un sac"};
        String[] turned = keywords.clone();
        java.util.Collections.reverse(Arrays.asList(turned));
        FoldedWords one = folded(language, keywords);
        FoldedWords other = folded(language, turned);
        List<String> texts = IntStream.range(0, one.size()).mapToObj(one::text).toList();
        assertThat(texts).isSortedAccordingTo(Comparator.naturalOrder());
        assertThat(IntStream.range(0, other.size()).mapToObj(other::text)).isEqualTo(texts);
        for (int word = 0; word < one.size(); word++) {
            for (int row = 0; row < one.keywordsOf().length(word); row++) {
                assertThat(one.rows().contains(one.keywordsOf().get(word, row), word))
                        .isTrue();
            }
        }
    }
}
