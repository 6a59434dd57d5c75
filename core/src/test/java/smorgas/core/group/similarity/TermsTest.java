package smorgas.core.group.similarity;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import smorgas.core.recipe.Rules;

/** What keywords are about, read on as many cores as there are. */
class TermsTest {

    private static final List<String> THINGS = List.of("hive", "frame", "smoker", "veil", "feeder", "extractor", "jar");
    private static final List<String> SAID = List.of("cheap", "best", "near me", "how to use", "second hand", "60m");

    /** So many that several cores read them. */
    private static List<String> many() {
        return IntStream.range(0, 4_000)
                .mapToObj(i -> (i % 3 == 0 ? SAID.get(i / 3 % SAID.size()) + " " : "")
                        + "oak"
                        + i % 97
                        + " "
                        + THINGS.get(i % THINGS.size())
                        + (i % 5 == 0 ? " with " + THINGS.get(i / 5 % THINGS.size()) : "")
                        + " kind"
                        + (char) ('a' + i % 26)
                        + (char) ('a' + i / 26 % 26))
                .sorted()
                .toList();
    }

    private static Terms terms(List<String> texts) {
        return Terms.of(
                texts,
                Rules.NEWEST.settings().byThemes("en"),
                "en",
                Rules.NEWEST.similarity().reading());
    }

    private static List<String> texts(Terms terms, int keyword) {
        return Arrays.stream(terms.rows().row(keyword)).mapToObj(terms::text).toList();
    }

    @Test
    void termsAreNumberedAsTheyFirstComeThoseOfTheTradeFirst() {
        List<String> many = many();
        Terms terms = terms(many);
        assertThat(terms.rows().size()).isEqualTo(many.size());
        int things = 0;
        int meanings = terms.things();
        for (int keyword = 0; keyword < many.size(); keyword++) {
            for (int term : terms.rows().row(keyword)) {
                if (term < terms.things()) {
                    assertThat(term).isLessThanOrEqualTo(things);
                    things = Math.max(things, term + 1);
                } else {
                    assertThat(term).isLessThanOrEqualTo(meanings);
                    meanings = Math.max(meanings, term + 1);
                }
            }
        }
        assertThat(things).isEqualTo(terms.things()).isPositive();
        assertThat(meanings).isEqualTo(terms.size()).isGreaterThan(things);
        assertThat(IntStream.range(0, terms.size()).mapToObj(terms::text)).doesNotHaveDuplicates();
    }

    /** Each keyword has the terms that it has in a list that one core reads; where they stand in it does not matter. */
    @Test
    void whatAKeywordIsAboutIsTheSameHoweverManyCoresRead() {
        List<String> many = many();
        Terms all = terms(many);
        for (int from = 0; from < many.size(); from += 1_000) {
            List<String> again = many.subList(from, from + 100);
            Terms part = terms(again);
            for (int i = 0; i < again.size(); i++) {
                int keyword = many.indexOf(again.get(i));
                assertThat(texts(part, i)).as(again.get(i)).isEqualTo(texts(all, keyword));
                int head = all.head(keyword);
                assertThat(part.head(i) < 0 ? "" : part.text(part.head(i))).isEqualTo(head < 0 ? "" : all.text(head));
            }
        }
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            status desk converter | convert
            oak hive for bees | hive
            hive with oak frame | hive
            for hive | hive
            rope 60 m | rope
            hive hive frame hive | hive
            60 m | ''
            """)
    void aKeywordIsOneOfItsHead(String keyword, String head) {
        Terms terms = terms(List.of(keyword));
        assertThat(terms.head(0) < 0 ? "" : terms.text(terms.head(0))).isEqualTo(head);
        assertThat(terms.rows().row(0)).doesNotHaveDuplicates();
    }
}
