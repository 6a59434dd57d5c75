package smorgas.core.language;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

public class WordFormsTest {

    public static List<String[]> rows(String file) {
        try (InputStream in = Objects.requireNonNull(WordFormsTest.class.getResourceAsStream("/words/" + file))) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .filter(line -> !line.startsWith("#"))
                    .map(line -> line.split("\t"))
                    .toList();
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    /** The vocabulary that the Snowball project publishes with the stems it should give; see the head of the file. */
    @Test
    void stemsAreThoseOfThePublishedVocabulary() {
        Map<String, int[]> shares = new HashMap<>();
        Map<String, WordForms> forms = new HashMap<>();
        for (String[] row : rows("snowball-sample.tsv")) {
            int[] share = shares.computeIfAbsent(row[0], language -> new int[2]);
            share[0]++;
            share[1] +=
                    forms.computeIfAbsent(row[0], WordForms::stems).of(row[1]).equals(row[2]) ? 1 : 0;
        }
        assertThat(shares).hasSize(11);
        shares.forEach((language, share) -> {
            System.out.printf("Snowball %s: %d of %d stems as published%n", language, share[1], share[0]);
            // Some algorithms were mended after this vocabulary was published.
            assertThat(share[1]).as(language).isGreaterThanOrEqualTo(share[0] * 95 / 100);
        });
    }

    /**
     * A published list of exceptions only; regular plurals are in the next test. The list that ships has the same source,
     * so this tells that it is whole and that the endings do not undo it.
     */
    @Test
    void irregularPluralsOfAPublishedListAreFound() {
        WordForms plurals = WordForms.plurals("en");
        List<String[]> pairs = rows("irregular-plurals-sample.tsv");
        long found = pairs.stream()
                .filter(pair -> plurals.of(pair[0]).equals(plurals.of(pair[1])))
                .count();
        System.out.printf("Irregular plurals: %d of %d pairs found%n", found, pairs.size());
        assertThat(found).isGreaterThan(pairs.size() * 90L / 100);
    }

    @ParameterizedTest
    @CsvSource({
        "hive, hives",
        "box, boxes",
        "glass, glasses",
        "bus, buses",
        "house, houses",
        "case, cases",
        "gas, gases",
        "lens, lenses",
        "baby, babies",
        "cookie, cookies",
        "movie, movies",
        "tomato, tomatoes",
        "shoe, shoes",
        "cache, caches",
        "watch, watches",
        "axe, axes",
        "knife, knives",
        "man, men",
        "men, mens",
        "woman, women",
        "child, children",
        "foot, feet",
        "mouse, mice",
        "queen, queens",
        "bee, bees",
        "fuse, fuses",
        "virus, viruses",
        "series, series",
        "dress, dresses",
        "roof, roofs",
        "photo, photos",
        "quiz, quizzes",
        "toe, toes",
        "pie, pies"
    })
    void singularAndPluralAgree(String one, String many) {
        WordForms plurals = WordForms.plurals("en");
        assertThat(plurals.of(one)).isEqualTo(plurals.of(many));
    }

    @ParameterizedTest
    @CsvSource({
        "new, news",
        "plan, plane",
        "plans, planes",
        "bee, been",
        "comb, combination",
        "10, 10s",
        "4s, 4",
        "bu, bus",
        "them, these",
        "princes, princesses",
        "wood, woods7",
        "thu, thus",
        "hi, his",
        "to, toe"
    })
    void otherWordsStayApart(String one, String other) {
        WordForms plurals = WordForms.plurals("en");
        assertThat(plurals.of(one)).isNotEqualTo(plurals.of(other));
    }

    @ParameterizedTest
    @CsvSource({
        "de, biene, bienen",
        "de, haus, häuser",
        "fr, ruche, ruches",
        "fr, cheval, chevaux",
        "es, colmena, colmenas",
        "es, luz, luces",
        "pt, abelha, abelhas",
        "sv, kupa, kupor",
        "no, kube, kuber"
    })
    void otherLanguagesHaveTheirPlurals(String language, String one, String many) {
        WordForms plurals = WordForms.plurals(language);
        assertThat(plurals.of(one)).isEqualTo(plurals.of(many));
    }

    /** hunspell-fr 7.0; published by others than this rule's authors. */
    @Test
    void frenchPluralsWithAnXMeetTheirSingularsAsADictionaryTellsThem() {
        WordForms plurals = WordForms.morePlurals("fr", false);
        List<String[]> pairs = rows("french-plurals-sample.tsv");
        long found = pairs.stream()
                .filter(pair -> plurals.of(pair[0]).equals(plurals.of(pair[1])))
                .count();
        System.out.printf("French plurals with an x: %d of %d pairs found%n", found, pairs.size());
        assertThat(found).isGreaterThanOrEqualTo(pairs.size() * 97 / 100);
        assertThat(plurals.of("heureux")).isEqualTo(plurals.of("heureux")).isNotEqualTo(plurals.of("heure"));
    }

    @ParameterizedTest
    @CsvSource({
        "Haus, Häuser",
        "Gartenstuhl, Gartenstühle",
        "Gartenstuhl, Gartenstühlen",
        "Bienenhaus, Bienenhäuser",
        "Fahrrad, Fahrräder",
        "Buch, Bücher",
        "Honigglas, Honiggläser",
        "Vorhang, Vorhänge",
        "Blumentopf, Blumentöpfe"
    })
    void germanPluralsThatChangeAVowelMeetTheirSingulars(String one, String many) {
        for (boolean accents : new boolean[] {true, false}) {
            WordForms plurals = WordForms.morePlurals("de", accents);
            Accents bare = new Accents("de");
            java.util.function.UnaryOperator<String> form = word ->
                    plurals.of(accents ? bare.plain(word.toLowerCase(Locale.ROOT)) : word.toLowerCase(Locale.ROOT));
            assertThat(form.apply(many)).isEqualTo(form.apply(one));
        }
    }

    @Test
    void wordsThatOnlyLookLikePluralsStayApart() {
        WordForms plurals = WordForms.morePlurals("de", true);
        assertThat(plurals.of("groesse")).isNotEqualTo(plurals.of("gross"));
        assertThat(plurals.of("saegen")).isNotEqualTo(plurals.of("sagen"));
    }

    @ParameterizedTest
    @CsvSource({
        "10mm, 10|mm",
        "2.5kg, 2.5|kg",
        "wi-fi, wifi",
        "e-mail, email",
        "do-it, do|it",
        "10in, 10in",
        "4x4, 4x4",
        "bee-hive, bee|hive"
    })
    void aNumberIsOneWithItsUnitAndAShortWordWithWhatStandsBehindItsHyphen(String token, String words) {
        assertThat(String.join("|", new Punctuation("en").words(token, true))).isEqualTo(words);
    }

    @Test
    void greekAccentsGoWhereTheyAreFolded() {
        assertThat(new Accents("el").plain("μέλισσες")).isEqualTo("μελισσεσ");
        assertThat(new Accents("el").plain("μέλι")).isEqualTo("μελι");
        assertThat(new Accents("en").plain("йод")).isEqualTo("йод");
    }

    @Test
    void aLanguageWithoutRulesLeavesWordsAlone() {
        assertThat(WordForms.plurals("fi").of("mehiläiset")).isEqualTo("mehiläiset");
        assertThat(WordForms.stems("xx").of("bees")).isEqualTo("bees");
        assertThat(WordForms.stems("fi").of("mehiläiset")).isNotEqualTo("mehiläiset");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "en|bee-keeper's|bee keepers",
                "en|keepers'|keepers",
                "en|c++|c++",
                "en|c#|c#",
                "en|4.5|4.5",
                "en|#10|#10",
                "en|50/50|50/50",
                "en|and/or|and or",
                "en|10-frame|10 frame",
                "en|2-3|2-3",
                "en|$5|$5",
                "en|20%|20%",
                "en|u.s.a.|usa",
                "en|&|and",
                "de|&|und",
                "en|!?|''",
                "en|-|''",
                "en|hive,|hive",
                "en|(bee)|bee",
                "fr|l'eau|l eau",
                "en|-5|-5",
                "en|5\"|5\"",
                "en|1,000|1,000",
                "en|wax_foil|wax foil",
                "en|naïve|naïve"
            })
    void punctuationGoesWhereItMeansNothing(String language, String token, String words) {
        assertThat(String.join(" ", new Punctuation(language).words(token, false)))
                .isEqualTo(words);
    }

    @Test
    void aLeadingHyphenMarksANegativeKeywordAtTheBeginningOnly() {
        Punctuation punctuation = new Punctuation("en");
        assertThat(punctuation.words("-free", true)).containsExactly("-", "free");
        assertThat(punctuation.words("-free", false)).containsExactly("free");
    }

    @ParameterizedTest
    @CsvSource({
        "en, café, cafe",
        "en, smørrebrød, smorrebrod",
        "en, straße, strasse",
        "de, größe, groesse",
        "de, naïve, naive",
        "es, año, año",
        "es, miel de azahár, miel de azahar",
        "en, улей, улей",
        "en, œuvre, oeuvre"
    })
    void accentsGoButWhereALanguageHoldsLettersApart(String language, String word, String plain) {
        assertThat(new Accents(language).plain(word)).isEqualTo(plain);
    }
}
