package smorgas.core.fold;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import smorgas.core.gather.Lines;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.FoldEntry;
import smorgas.core.recipe.Folding;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.fold.FoldKind;
import smorgas.core.recipe.fold.WordPair;

/** Which spellings are one keyword, by kind and by hand. */
class KindsTest {

    private static final Folding ALL = Folding.standard("en", Rules.NEWEST).with(EnumSet.allOf(FoldKind.class));

    private static Keywords fold(Folding folding, String... baskets) {
        List<Lines> lines = new ArrayList<>();
        for (int b = 0; b < baskets.length; b++) {
            lines.add(TestLists.lines(b + 1, baskets[b]));
        }
        return Folder.fold(lines, folding);
    }

    private static Folding decided(Entry... entries) {
        return Recipe.of(List.of(entries), "en").folding();
    }

    /** Each set of spellings that are one keyword, as text, sorted. */
    private static Set<Set<String>> sets(Keywords keywords) {
        Set<Set<String>> sets = new HashSet<>();
        for (int keyword = 0; keyword < keywords.size(); keyword++) {
            sets.add(new TreeSet<>(keywords.tidyTexts(keyword)));
        }
        return sets;
    }

    @ParameterizedTest
    @CsvSource({
        "PUNCTUATION, bee-keeper's hat, bee keepers hat",
        "ACCENTS, café hive, cafe hive",
        "REPEATED, bee hive bee, bee hive",
        "ORDER, smoker for bees, for bees smoker",
        "PLURALS, bee hives, bee hive",
        "STEMS, keeping hive, keeps hive",
        "LITTLE_WORDS, suit for beekeepers, suit beekeepers"
    })
    void aKindFoldsWhatItSaysAndNothingWhenItIsOff(FoldKind kind, String one, String other) {
        String list = one + "\n" + other + "\nsomething else\n";
        assertThat(fold(ALL.with(Set.of(kind)), list).size()).isEqualTo(2);
        assertThat(fold(ALL.with(Set.of()), list).size()).isEqualTo(3);
        // Stems take plurals along.
        Set<FoldKind> others = EnumSet.complementOf(EnumSet.of(kind, FoldKind.STEMS));
        assertThat(fold(ALL.with(others), list).size()).isEqualTo(3);
    }

    @Test
    void joinedAndSplitWordsFoldOnlyWhereBothOccur() {
        Folding joined = ALL.with(EnumSet.of(FoldKind.JOINED, FoldKind.PLURALS, FoldKind.ORDER));
        assertThat(sets(fold(joined, "beekeeping tools\nbee keeping tools\ntools bee keeping\n")))
                .containsExactly(Set.of("beekeeping tools", "bee keeping tools", "tools bee keeping"));
        // The parts stand next to each other in another keyword, in the plural too.
        assertThat(sets(fold(joined, "beehives\nbee hive\nbeeswax\nbees wax\n")))
                .containsExactlyInAnyOrder(Set.of("beehives", "bee hive"), Set.of("beeswax", "bees wax"));
        assertThat(fold(joined, "beekeeping tools\nkeeping bee tools\n").size()).isEqualTo(2);
    }

    @Test
    void numbersAndSizesNeverFold() {
        Keywords keywords = fold(
                ALL,
                "frame 10\nframe 10s\nframe 100\nframe 1 0\nframe 4.5\nframe 45\nframe 4 5\nframe 50/50\nframe 5050\n");
        assertThat(keywords.size()).isEqualTo(9);
    }

    @Test
    void aNegativeIsToldApartFromItsWord() {
        assertThat(sets(fold(ALL, "free hive\n-free hive\nhive -free\n")))
                .containsExactlyInAnyOrder(Set.of("free hive", "hive -free"), Set.of("-free hive"));
    }

    @Test
    void whatIsOnlySymbolsOrLittleWordsKeepsItsMeaning() {
        assertThat(fold(ALL, "!!!\n???\nto be or\nfor the\n").size()).isEqualTo(4);
    }

    @Test
    void theLeadIsTheMostSearchedThenInMostBasketsThenMostSeenThenShortest() {
        String planner = "keyword,searches\nhives bee,10\nbee hives,90\nqueen bee cages,\nbee suits,\nsuit bees,\n";
        String paste = "queen bee cage\nbee suits\nbee suits\n";
        String other = "queen bee cage\n";
        Keywords keywords = fold(ALL, planner, paste, other);
        assertThat(IntStream.range(0, 3).mapToObj(keywords::text))
                .containsExactlyInAnyOrder("bee hives", "queen bee cage", "bee suits");
    }

    @Test
    void whatHandsDecideHoldsUnderOtherSettingsAndNewBaskets() {
        String list = "glass jar\njar glass\nglass jars\nhoney pot\n";
        Entry out = new FoldEntry.SpellingsTakenOut(List.of("jar glass"));
        Entry join = new FoldEntry.KeywordsJoined(List.of("glass jar", "honey pot"));
        Entry lead = new FoldEntry.LeadChosen("honey pot");
        Keywords keywords = fold(decided(out, join, lead), list, "Jar  Glass\nhoney-pot\nglass jar cheap\n");
        assertThat(sets(keywords))
                .containsExactlyInAnyOrder(
                        Set.of("glass jar", "glass jars", "honey pot", "honey-pot"),
                        Set.of("jar glass"),
                        Set.of("glass jar cheap"));
        assertThat(keywords.text(keywords.find("glass jars").orElseThrow())).isEqualTo("honey pot");
        // Taken out again of what was joined: the later wins.
        Keywords again = fold(decided(join, new FoldEntry.SpellingsTakenOut(List.of("honey pot"))), list);
        assertThat(again.find("honey pot")).isNotEqualTo(again.find("glass jar"));
        Keywords plain = fold(decided(out, join, lead).with(Set.of()), list);
        assertThat(plain.find("honey pot")).isEqualTo(plain.find("glass jar"));
        assertThat(plain.size()).isEqualTo(3);
    }

    @Test
    void anAcceptedMisspellingIsTheWordThatIsMeant() {
        String list = "bee smokr\nbee smoker\nsmokr lid\n";
        WordPair pair = new WordPair("smokr", "smoker");
        assertThat(fold(decided(), list).size()).isEqualTo(3);
        Folding accepted = decided(new FoldEntry.MisspellingsJudged(List.of(pair), true));
        assertThat(fold(accepted, list).size()).isEqualTo(2);
        assertThat(fold(accepted.with(Set.of()), list).size()).isEqualTo(3);
        Folding refused = decided(
                new FoldEntry.MisspellingsJudged(List.of(pair), true),
                new FoldEntry.MisspellingsJudged(List.of(pair), false));
        assertThat(fold(refused, list).size()).isEqualTo(3);
        assertThat(refused.refused()).containsExactly("smokr");
    }

    @Test
    void theReportTellsWhatEachKindFoldsAndWhatBroughtASpelling() {
        Keywords keywords = fold(
                Folding.standard("en", Rules.NEWEST),
                "keyword,searches\nBee hive,10\nbee hive,10\nbee hives,10\nhive bee,1000\nbee-hive,\nhive for bee,\n");
        FoldReport report = FoldReport.of(keywords);
        FoldSteps stair = report.steps();
        assertThat(List.of(stair.lines(), stair.spellings(), stair.byHand())).containsExactly(6, 5, 0);
        assertThat(stair.treads()).extracting(FoldSteps.Tread::folds).containsExactly(1, 0, 0, 1, 1, 0, 0, 1, 0);
        assertThat(stair.treads().get(FoldKind.PLURALS.ordinal()).samples())
                .containsExactly(new FoldSteps.Sample("bee hive", "bee hives"));
        int hive = keywords.find("bee hives").orElseThrow();
        assertThat(keywords.text(hive)).isEqualTo("hive bee");
        assertThat(report.broughtBy(hive, "hive bee")).isEqualTo(FoldReport.By.TIDYING);
        assertThat(report.broughtBy(hive, "bee hive")).isEqualTo(FoldReport.By.ORDER);
        assertThat(report.broughtBy(hive, "bee hives")).isEqualTo(FoldReport.By.PLURALS);
        // Searches that differ make it more doubtful than word order alone.
        assertThat(report.doubt(hive)).isGreaterThan(.5);
        assertThat(report.doubtfulFirst()).containsExactly(hive);
    }

    private static final String[] WORDS = {
        "bee",
        "bees",
        "hive",
        "hives",
        "bee-hive",
        "beehive",
        "keeper",
        "keeper's",
        "beekeeper",
        "for",
        "the",
        "café",
        "cafe",
        "wax",
        "beeswax",
        "10",
        "4.5",
        "box",
        "boxes",
        "new",
        "news",
        "keeping",
        "beekeeping",
        "-x",
        "&"
    };

    private static List<String> randomTexts(Random random, int count) {
        List<String> texts = new ArrayList<>();
        for (int i = 0; i < count; i++) {
            List<String> words = new ArrayList<>();
            for (int w = 0; w <= random.nextInt(4); w++) {
                words.add(WORDS[random.nextInt(WORDS.length)]);
            }
            texts.add(String.join(" ", words));
        }
        return texts;
    }

    private static Set<FoldKind> randomKinds(Random random) {
        EnumSet<FoldKind> kinds = EnumSet.noneOf(FoldKind.class);
        for (FoldKind kind : FoldKind.values()) {
            if (random.nextBoolean()) {
                kinds.add(kind);
            }
        }
        return kinds;
    }

    /** Random lists under random settings, hands included. */
    @Test
    void foldingIsAPartitionThatDependsOnNoOrderAndFoldsNothingTwice() {
        Random random = new Random(4);
        for (int round = 0; round < 200; round++) {
            List<String> texts = randomTexts(random, 30);
            Folding folding = ALL.with(randomKinds(random));
            Keywords keywords =
                    fold(folding, String.join("\n", texts.subList(0, 15)), String.join("\n", texts.subList(15, 30)));

            int lines =
                    IntStream.range(0, keywords.size()).map(keywords::lineCount).sum();
            assertThat(lines).isEqualTo(keywords.linesInUse()).isEqualTo(30);
            Set<String> spellings = new TreeSet<>();
            sets(keywords).forEach(set -> assertThat(set).allMatch(spellings::add));

            List<String> shuffled = new ArrayList<>(texts);
            Collections.shuffle(shuffled, random);
            assertThat(sets(fold(folding, String.join("\n", shuffled)))).isEqualTo(sets(keywords));

            String leads = String.join(
                    "\n",
                    IntStream.range(0, keywords.size()).mapToObj(keywords::text).toList());
            assertThat(fold(folding, leads).size()).isEqualTo(keywords.size());

            Folding apart = Recipe.of(List.of(new FoldEntry.SpellingsTakenOut(List.copyOf(spellings))), "en")
                    .folding()
                    .with(folding.on());
            Keywords all = fold(apart, String.join("\n", texts));
            assertThat(IntStream.range(0, all.size()).mapToObj(all::text))
                    .containsExactlyInAnyOrderElementsOf(spellings);
        }
    }

    /** The stair against folding with each set of switches. */
    @Test
    void theStairIsWhatSwitchingWouldGive() {
        Random random = new Random(5);
        for (int round = 0; round < 40; round++) {
            Folding folding = ALL.with(randomKinds(random));
            String list = String.join("\n", randomTexts(random, 40));
            Keywords keywords = fold(folding, list);
            for (FoldSteps.Tread tread : FoldReport.of(keywords).steps().treads()) {
                EnumSet<FoldKind> with = EnumSet.noneOf(FoldKind.class);
                with.addAll(folding.on());
                if (tread.on()) {
                    with.removeIf(kind -> kind.compareTo(tread.kind()) > 0);
                    assertThat(fold(folding.with(with), list).size()).isEqualTo(tread.left());
                    with.remove(tread.kind());
                    assertThat(fold(folding.with(with), list).size() - tread.left())
                            .isEqualTo(tread.folds());
                } else {
                    with.add(tread.kind());
                    assertThat(keywords.size() - fold(folding.with(with), list).size())
                            .isEqualTo(tread.folds());
                }
            }
        }
    }

    @Test
    void twoSetsAreComparedByMeaningOrLetterByLetter() {
        List<String> left = List.of("Bee Hives", "smoker", "  ", "hive bee");
        List<String> right = List.of("bee-hive", "veil", "smoker");
        assertThat(Comparison.of(left, right, Optional.of(Folding.standard("en", Rules.NEWEST))))
                .isEqualTo(new Comparison(List.of(), List.of("veil"), List.of("bee hives", "smoker")));
        assertThat(Comparison.of(left, right, Optional.empty()))
                .isEqualTo(new Comparison(
                        List.of("Bee Hives", "hive bee"), List.of("bee-hive", "veil"), List.of("smoker")));
        Folding apart = decided(new FoldEntry.SpellingsTakenOut(List.of("bee-hive")));
        assertThat(Comparison.of(left, right, Optional.of(apart)).right()).containsExactly("bee-hive", "veil");
        assertThat(Arrays.asList(FoldKind.values()))
                .allMatch(kind -> !kind.example().toString().isBlank());
    }

    /** Against the folder itself, told the text too. */
    @Test
    void aTextThatNoListHasIsMeantForTheKeywordItWouldBeFoldedInto() {
        Random random = new Random(12);
        List<String> words =
                List.of("bee", "bees", "hive", "hives", "for", "the", "smoker", "keeper", "keeping", "wäx");
        int meant = 0;
        for (int round = 0; round < 400; round++) {
            // A word joined in one text parts it in all, so the folder may learn from the text itself.
            EnumSet<FoldKind> kinds = EnumSet.complementOf(EnumSet.of(FoldKind.JOINED));
            kinds.removeIf(kind -> random.nextInt(4) == 0);
            Folding folding = Folding.standard("en", Rules.NEWEST).with(kinds);
            Set<String> list = new TreeSet<>();
            for (int i = 0; i < 14; i++) {
                list.add(text(random, words));
            }
            String text = text(random, words);
            Keywords keywords = fold(folding, "keyword\n" + String.join("\n", list));
            Keywords told = fold(folding, "keyword\n" + String.join("\n", list) + "\n" + text);
            Optional<String> expected = told.tidyTexts(told.find(text).orElseThrow()).stream()
                    .filter(list::contains)
                    .findFirst();
            assertThat(keywords.meant(text).map(keywords::text))
                    .as(text + " among " + list + " by " + kinds)
                    .isEqualTo(expected.flatMap(keywords::find).map(keywords::text));
            meant += expected.isPresent() && !list.contains(text) ? 1 : 0;
        }
        assertThat(meant).isGreaterThan(40);
    }

    private static String text(Random random, List<String> words) {
        return random.ints(1 + random.nextInt(3), 0, words.size())
                .mapToObj(words::get)
                .collect(java.util.stream.Collectors.joining(" "));
    }

    @Test
    void whatAHandTookApartIsMeantForNone() {
        Folding apart = decided(new FoldEntry.SpellingsTakenOut(List.of("bee suits")));
        Keywords keywords = fold(apart, "keyword\nbees suit\nbee suits\n");
        assertThat(keywords.size()).isEqualTo(2);
        assertThat(keywords.meant("bee suits").map(keywords::text)).contains("bee suits");
        assertThat(keywords.meant("bee suit")).isEmpty();
        assertThat(keywords.meant("-,-")).isEmpty();
    }
}
