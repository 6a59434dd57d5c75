package smorgas.core.group.similarity;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import smorgas.core.group.same.SameFound;
import smorgas.core.group.same.SameWords;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.group.SameHere;
import smorgas.core.text.Tidy;

/** What keywords of other languages than English and German are about; {@code bench languages} tells what comes of it. */
class OtherLanguagesTest {

    private static Set<String> about(String language, String keyword) {
        Terms terms = Terms.of(
                List.of(Tidy.of(keyword)),
                Rules.NEWEST.settings().byThemes(language),
                language,
                Rules.NEWEST.similarity().reading());
        return Arrays.stream(terms.rows().row(0)).mapToObj(terms::text).collect(Collectors.toSet());
    }

    private static String head(String language, String keyword) {
        Terms terms = Terms.of(
                List.of(keyword),
                Rules.NEWEST.settings().byThemes(language),
                language,
                Rules.NEWEST.similarity().reading());
        return terms.head(0) < 0 ? "" : terms.shown(terms.head(0));
    }

    @ParameterizedTest
    @CsvSource({
        "fr, salle d'escalade, salle escalade",
        "fr, salle d\u2019escalade, salle escalade",
        "fr, l'équipement du grimpeur, équipement grimpeur",
        "fr, vélo pas cher, vélo bon marché",
        "fr, vélo d'occasion, vélo seconde main",
        "fr, casque pour femme, casque dames",
        "it, filtro dell'acqua, filtro acqua",
        "it, scarpe economiche, scarpe a basso costo",
        "es, cortacésped barato, cortacésped económico",
        "es, cortacésped de segunda mano, cortacésped usado",
        "nl, klimgordel kind, klimgordel kinderen",
        "nl, goedkope tent, voordelige tent"
    })
    void whatSaysTheSameIsTheSame(String language, String one, String other) {
        assertThat(about(language, one)).isEqualTo(about(language, other));
    }

    @ParameterizedTest
    @CsvSource({
        "fr, casque vélo enfant, casque",
        "es, semillas césped, semillas",
        "it, corda arrampicata, corda",
        "pt, corda escalada, corda",
        "nl, karabijnhaak met sluiting, karabijnhaak",
        "en, status desk converter, converter",
        "de, gartenhaus fundament, fundament"
    })
    void theHeadStandsWhereTheLanguagePutsIt(String language, String keyword, String head) {
        assertThat(head(language, keyword)).isEqualTo(head);
    }

    @Test
    void whatCountsAsOneIsToldWithoutArticles() {
        List<String> texts = List.of("vélo d'occasion", "vélo seconde main", "l'occasion", "vélo");
        assertThat(SameFound.in(texts, SameHere.NOTHING, "fr"))
                .singleElement()
                .satisfies(found -> assertThat(found.words()).isEqualTo(Map.of("occasion", 2, "seconde main", 1)));
    }

    @Test
    void whatIsNoArticleStaysInItsWord() {
        assertThat(about("fr", "aujourd'hui")).hasSize(1);
        assertThat(about("en", "kid's helmet")).hasSize(2);
        assertThat(about("fr", "l'")).hasSizeLessThan(2);
    }

    /** A phrase in two lines would silently be of the last one. */
    @ParameterizedTest
    @ValueSource(strings = {"en", "de", "fr", "es", "it", "nl"})
    void everyPhraseOfAShippedListIsInOneLine(String language) throws IOException {
        Map<String, String> lineOf = new HashMap<>();
        Set<String> names = new HashSet<>();
        try (BufferedReader lines = new BufferedReader(new InputStreamReader(
                Objects.requireNonNull(
                        getClass().getResourceAsStream("/smorgas/core/language/" + language + "/same.txt")),
                StandardCharsets.UTF_8))) {
            for (String line : lines.lines()
                    .filter(one -> !one.startsWith("#") && !one.isBlank())
                    .toList()) {
                String[] parts = line.split(" \\| ");
                if (line.startsWith("near ")) {
                    assertThat(names).contains(parts[1], parts[2]);
                    continue;
                }
                String[] named = parts[1].split(": ");
                assertThat(names.add(named[0])).as(named[0]).isTrue();
                for (String phrase : named[1].split(", ")) {
                    assertThat(lineOf.put(phrase, named[0])).as(phrase).isNull();
                    assertThat(Tidy.of(phrase).toLowerCase(java.util.Locale.ROOT))
                            .isEqualTo(phrase);
                }
            }
        }
        assertThat(SameWords.of(language).size()).isEqualTo(names.size());
    }
}
