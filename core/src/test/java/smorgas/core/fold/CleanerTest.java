package smorgas.core.fold;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.FoldEntry;
import smorgas.core.recipe.Folding;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.fold.Cleaning;
import smorgas.core.recipe.fold.Cleaning.Match;
import smorgas.core.text.Refusal;

class CleanerTest {

    private static Folding cleaned(Cleaning... cleanings) {
        List<Entry> entries = new ArrayList<>();
        for (int i = 0; i < cleanings.length; i++) {
            entries.add(new FoldEntry.CleaningAdded(i + 1, cleanings[i]));
        }
        return Recipe.of(entries, "en").folding();
    }

    static List<Arguments> cleanings() {
        return List.of(
                Arguments.of(new Cleaning.Replace(Match.WORDS, "Bee", "wasp"), "bee bees bee", "wasp bees wasp"),
                Arguments.of(new Cleaning.Replace(Match.WORDS, "near me", ""), "hive near me", "hive"),
                Arguments.of(new Cleaning.Replace(Match.WORDS, "bee bee", "x"), "bee bee bee", "x bee"),
                Arguments.of(new Cleaning.Replace(Match.ANYWHERE, "bee", ""), "beekeeper bees", "keeper s"),
                Arguments.of(new Cleaning.Replace(Match.PATTERN, "[0-9]+ ?mm", "size"), "pipe 45 mm", "pipe size"),
                Arguments.of(new Cleaning.Replace(Match.PATTERN, "(bee)", "$1$1"), "bee", "beebee"),
                Arguments.of(new Cleaning.Affix("buy", "online"), "hive", "buy hive online"),
                Arguments.of(new Cleaning.Affix("buy", "online"), "buy hive", "buy hive online"),
                Arguments.of(new Cleaning.StripYears(), "hive 2024 2025 1850 20255", "hive 1850 20255"),
                Arguments.of(
                        new Cleaning.StripPhrases(List.of("York", "New York")),
                        "hive new york yorkshire",
                        "hive yorkshire"),
                Arguments.of(new Cleaning.KeepScripts(List.of(Cleaning.Script.LATIN)), "café 10 &", "café 10 &"),
                Arguments.of(new Cleaning.KeepScripts(List.of(Cleaning.Script.LATIN)), "bee улей", ""),
                Arguments.of(new Cleaning.KeepScripts(List.of(Cleaning.Script.CYRILLIC)), "улей", "улей"));
    }

    @ParameterizedTest
    @MethodSource("cleanings")
    void aCleaningDoesWhatItsSentenceSays(Cleaning cleaning, String before, String after) {
        assertThat(Cleaner.of(cleaned(cleaning).cleanings()).clean(before)).isEqualTo(after);
        assertThat(cleaning.sentence().toString()).isNotBlank().doesNotEndWith(".");
    }

    @Test
    void cleaningComesBeforeFoldingAndLeavesLinesAsTheyAre() {
        Folding folding = cleaned(new Cleaning.StripYears(), new Cleaning.Replace(Match.WORDS, "cheap", ""));
        Keywords keywords =
                Folder.fold(List.of(TestLists.lines(1, "bee hive 2025\ncheap bee hives\n2026\nveil\n")), folding);
        assertThat(keywords.size()).isEqualTo(2);
        assertThat(keywords.setAside()).isEqualTo(1);
        int hive = keywords.find("bee hive").orElseThrow();
        assertThat(keywords.text(hive)).isEqualTo("bee hive");
        assertThat(keywords.spellings(hive)).containsExactly("bee hive 2025", "cheap bee hives");
        assertThat(keywords.find("bee hive 2025")).contains(hive);
        assertThat(keywords.find("2026")).isEmpty();
    }

    @Test
    void aReplacementTakesWhatBracketsMatchedAndADollarElseIsItself() {
        Cleaning turned = new Cleaning.Replace(Match.PATTERN, "(\\w+) for (\\w+)", "$2 $1 $9 5$");
        List<Folding.NumberedCleaning> one = cleaned(turned).cleanings();
        assertThat(Cleaner.of(one).clean("hive for bees")).isEqualTo("bees hive $9 5$");
    }

    @Test
    void aPreviewTellsWhatOneMoreCleaningWouldDo() {
        Spellings spellings = Spellings.of(List.of(TestLists.lines(1, "hive 2025\nhive 2025 cheap\n2025\nveil\n")));
        Cleaner.Preview preview = Cleaner.preview(
                spellings, cleaned(new Cleaning.Replace(Match.WORDS, "cheap", "")), new Cleaning.StripYears());
        assertThat(List.of(preview.changed(), preview.setAside())).containsExactly(3, 1);
        assertThat(preview.samples()).contains(new Cleaner.Sample("hive 2025", "hive"), new Cleaner.Sample("2025", ""));
    }

    @Test
    void whatCannotBeCleanedSoIsRefusedWithTheReason() {
        assertThatThrownBy(() -> Cleaner.check(new Cleaning.Replace(Match.PATTERN, "(bee|x", "")))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("(bee|x");
        assertThatThrownBy(() -> new Cleaning.Replace(Match.WORDS, "", "x")).hasMessageContaining("to be found");
        assertThatThrownBy(() -> new Cleaning.Affix(" ", "")).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> new Cleaning.StripPhrases(List.of(" "))).hasMessageContaining("one a line");
        assertThatThrownBy(() -> new Cleaning.Replace(Match.WORDS, "x".repeat(201), ""))
                .hasMessageContaining("200");
    }

    @Test
    void noTextBecomesLongerThanItMayAndAllTogetherNotTenTimesAsLong() {
        Cleaning[] growing = new Cleaning[12];
        java.util.Arrays.fill(growing, new Cleaning.Replace(Match.ANYWHERE, "e", "e".repeat(10)));
        Cleaner twelve = Cleaner.of(cleaned(growing).cleanings());
        assertThatThrownBy(() -> twelve.clean("bee hive"))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("4,000")
                .hasMessageContaining("bee hive");
        String long0 = "wasp ".repeat(2_000).strip();
        assertThat(twelve.clean(long0)).as("long before, and not made longer").isEqualTo(long0);

        String lines = java.util.stream.IntStream.range(0, 60_000)
                .mapToObj(i -> "a" + i)
                .collect(java.util.stream.Collectors.joining("\n"));
        Folding folding = cleaned(new Cleaning.Affix("b".repeat(60), ""));
        assertThatThrownBy(() -> Prepared.of(Spellings.of(List.of(TestLists.lines(1, lines))), folding))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("10 times");
        Folding modest = cleaned(new Cleaning.Affix("buy", "online"));
        assertThat(Prepared.of(Spellings.of(List.of(TestLists.lines(1, lines))), modest)
                        .tokens()
                        .cleaned())
                .isTrue();
    }
}
