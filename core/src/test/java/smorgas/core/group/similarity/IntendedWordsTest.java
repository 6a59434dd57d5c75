package smorgas.core.group.similarity;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.group.same.IntendedWords;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.group.GroupSettings;

/** How words of keywords are read to see what is alike. */
class IntendedWordsTest {

    private static List<String> read(String language, String keyword, String... others) {
        List<String> all = new ArrayList<>(List.of(others));
        all.addFirst(keyword);
        return new IntendedWords(
                        all,
                        language,
                        Set.of("kosten", "cheap"),
                        Rules.NEWEST.similarity().reading())
                .words(0);
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            shed 3 x 4 | shed, 3x4
            shed 3x4m | shed, 3x4
            rope 60m | rope, 60, m
            9.8mm rope | 9.8, mm, rope
            women's shoes | womens, shoes
            x ray film | x, ray, film
            10 frame hive | 10, frame, hive
            """)
    void sizesHaveOneFormAndNumbersStandBesideTheirUnits(String keyword, String words) {
        assertThat(String.join(", ", read("en", keyword))).isEqualTo(words);
    }

    @ParameterizedTest
    @CsvSource({"harnses, harness", "climing, climbing", "harnass, harness", "begginer, beginner"})
    void rareWordsNearACommonOneAreReadAsThatAlsoWithLettersThatChangedPlaces(String wrong, String right) {
        String[] others = new String[6];
        for (int i = 0; i < others.length; i++) {
            others[i] = right + " number" + (char) ('a' + i);
        }
        assertThat(read("en", wrong + " red", others)).containsExactly(right, "red");
    }

    @Test
    void wordsOfTheDictionaryOtherStemsAndCommonWordsStayWhatTheyAre() {
        String[] others = new String[40];
        for (int i = 0; i < others.length; i++) {
            others[i] = "black hive " + i;
        }
        assertThat(read("en", "butcher block top", others)).containsExactly("butcher", "block", "top");
        assertThat(read("en", "hives", others)).containsExactly("hives");
    }

    @Test
    void wordsThatSayTheSameInAnyTradeAreRightHoweverFewHaveThemWhereADictionaryTellsOtherWords() {
        assertThat(new IntendedWords(
                                List.of("chaep hive", "hive"),
                                "en",
                                Set.of("cheap"),
                                Rules.NEWEST.similarity().reading())
                        .words(0))
                .containsExactly("cheap", "hive");
        assertThat(new IntendedWords(
                                List.of("kasten hive", "hive"),
                                "de",
                                Set.of("kosten"),
                                Rules.NEWEST.similarity().reading())
                        .words(0))
                .containsExactly("kasten", "hive");
    }

    @Test
    void joinedWordsArePartedWhereTheListHasTheParts() {
        assertThat(read("en", "crashpad", "crash mat", "crash pad", "big pad", "pad blue"))
                .containsExactly("crash", "pad");
        assertThat(read("en", "crashpad", "mat", "pad")).containsExactly("crashpad");
        assertThat(read("de", "metallgartenhaus", "gartenhaus metall", "gartenhaus holz", "metall regal"))
                .containsExactly("metall", "gartenhaus");
        assertThat(read("de", "umzugskosten", "umzug planen", "umzug kartons")).containsExactly("umzug", "kosten");
        assertThat(read("de", "hochbeet", "beet hoch")).containsExactly("hochbeet");
    }

    @Test
    void termsAreStemsWithoutLittleWordsAndWhatWordsSay() {
        GroupSettings settings =
                Rules.NEWEST.settings().byThemes("en").withIgnored(new java.util.TreeSet<>(List.of("uk")));
        Terms terms = Terms.of(
                List.of(
                        "cheap climbing shoes for women",
                        "affordable ladies climbing shoe uk",
                        "how to clean shoes",
                        "status desk converter for laptop"),
                settings,
                "en",
                Rules.NEWEST.similarity().reading());
        assertThat(named(terms, 0)).containsExactlyInAnyOrder("climb", "shoe", "cheap", "women");
        assertThat(named(terms, 1)).containsExactlyInAnyOrder("climb", "shoe", "cheap", "women");
        assertThat(named(terms, 2)).containsExactlyInAnyOrder("shoe", "how to", "clean");
        // What a keyword is one of stands before "for".
        assertThat(terms.text(terms.head(3))).startsWith("convert");
        assertThat(terms.text(terms.head(0))).isEqualTo("shoe");
    }

    private static List<String> named(Terms terms, int keyword) {
        return java.util.Arrays.stream(terms.rows().row(keyword))
                .mapToObj(terms::text)
                .toList();
    }

    @Test
    void whatLooksMisspeltGivesNoGroupItsName() {
        Terms terms = Terms.of(
                List.of("smoker", "smoekr", "big smoker", "red smoker", "old smoker", "smoker fuel"),
                Rules.NEWEST.settings().byThemes("en"),
                "en",
                Rules.NEWEST.similarity().reading());
        assertThat(terms.slips(1)).isTrue();
        assertThat(terms.slips(0)).isFalse();
    }

    @Test
    void lettersMakeWordsAlikeAndSizesNever() {
        Terms terms = Terms.of(
                List.of("hangboard", "hang board", "fingerboard", "3x3 shed", "3x4 shed", "ox"),
                Rules.NEWEST.settings().byThemes("en"),
                "en",
                Rules.NEWEST.similarity().reading());
        LetterSimilarity letters =
                new LetterSimilarity(terms, 3, Rules.NEWEST.similarity().letters());
        int hangboard = index(terms, "hangboard");
        assertThat(letters.of(hangboard).terms()).contains(index(terms, "fingerboard"));
        for (float value : letters.of(hangboard).values()) {
            assertThat(value).isBetween(0f, .95f);
        }
        assertThat(letters.of(index(terms, "3x3")).terms()).isEmpty();
        assertThat(letters.of(index(terms, "ox")).terms()).isEmpty();
    }

    private static final List<String> BOARDS = List.of(
            "hangboard",
            "fingerboard",
            "campusboard",
            "trainingboard",
            "keyboard",
            "cupboard",
            "dashboard",
            "pinboard");

    /** Many look alike by their ending; each is like the few that it is nearest to and that are nearest to it. */
    @Test
    void aWordIsLikeAFewOthersAndTheyAreLikeItAsMuch() {
        Terms terms = Terms.of(
                BOARDS,
                Rules.NEWEST.settings().byThemes("en"),
                "en",
                Rules.NEWEST.similarity().reading());
        LetterSimilarity all = new LetterSimilarity(
                terms, Integer.MAX_VALUE, Rules.NEWEST.similarity().letters());
        LetterSimilarity few =
                new LetterSimilarity(terms, 2, Rules.NEWEST.similarity().letters());
        int pairs = 0;
        for (int term = 0; term < terms.size(); term++) {
            LetterSimilarity.Like like = few.of(term);
            assertThat(like.terms()).as(terms.text(term)).hasSizeLessThanOrEqualTo(2);
            for (int i = 0; i < like.terms().length; i++) {
                int other = like.terms()[i];
                LetterSimilarity.Like back = few.of(other);
                int at = Arrays.binarySearch(back.terms(), term);
                assertThat(at)
                        .as("%s of %s", terms.text(term), terms.text(other))
                        .isNotNegative();
                assertThat(like.values()[i]).isEqualTo(back.values()[at]);
                assertThat(all.of(term).terms()).contains(other);
                pairs++;
            }
            assertThat(all.of(term).terms()).hasSizeGreaterThan(2);
        }
        assertThat(pairs).isPositive();
    }

    /** In English few count; where words are joined all that look alike do. */
    @ParameterizedTest
    @CsvSource({"en, true", "de, false"})
    void howManyCountIsOfTheLanguage(String language, boolean fewer) {
        Terms terms = Terms.of(
                BOARDS,
                Rules.NEWEST.settings().byThemes(language),
                language,
                Rules.NEWEST.similarity().reading());
        Similarity similarity = new Similarity(BOARDS, terms, language, MeaningVectors.NONE, Rules.NEWEST.similarity());
        int like = IntStream.range(0, BOARDS.size())
                .map(keyword -> similarity.softened(keyword).places().length)
                .sum();
        LetterSimilarity all = new LetterSimilarity(
                terms, Integer.MAX_VALUE, Rules.NEWEST.similarity().letters());
        int ofAll = IntStream.range(0, BOARDS.size())
                .map(keyword -> similarity.terms(keyword).places().length
                        + Arrays.stream(similarity.terms(keyword).places())
                                .map(term -> all.of(term).terms().length)
                                .sum())
                .sum();
        assertThat(like < ofAll).isEqualTo(fewer);
    }

    private static int index(Terms terms, String text) {
        for (int term = 0; term < terms.size(); term++) {
            if (terms.text(term).equals(text)) {
                return term;
            }
        }
        throw new AssertionError(text);
    }

    @Test
    void sparseVectorsAddAndMultiplyByPlace() {
        Sparse one = new Sparse(new int[] {1, 4, 9}, new float[] {1, 2, 3});
        Sparse other = new Sparse(new int[] {0, 4, 9, 12}, new float[] {5, .5f, 1, 7});
        assertThat(one.dot(other)).isEqualTo(4);
        assertThat(one.dot(Sparse.NOTHING)).isZero();
        Sparse sum = one.plus(other);
        assertThat(sum.places()).containsExactly(0, 1, 4, 9, 12);
        assertThat(sum.values()).containsExactly(5, 1, 2.5f, 4, 7);
    }
}
