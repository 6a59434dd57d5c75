package smorgas.core.sift;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import org.apache.lucene.analysis.core.WhitespaceTokenizer;
import org.apache.lucene.analysis.shingle.ShingleFilter;
import org.apache.lucene.analysis.tokenattributes.CharTermAttribute;
import org.junit.jupiter.api.Test;
import smorgas.core.fold.Folder;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Folding;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Rule;
import smorgas.core.recipe.sift.Status;
import smorgas.core.recipe.sift.WordList;

/** Words, phrases and families of what is on view; trims. */
class WordsOnViewTest {

    private static Keywords tidied(List<String> lines) {
        return Folder.fold(
                List.of(TestLists.lines(1, String.join("\n", lines) + "\n")),
                Folding.standard("en", Rules.NEWEST).with(Set.of()));
    }

    private static BitSet all(Keywords keywords) {
        BitSet all = new BitSet();
        all.set(0, keywords.size());
        return all;
    }

    private static Statuses judged(Keywords keywords, Rule... rules) {
        return Judge.judge(new Matcher(keywords), intent -> new BitSet(), Map.of(), Map.of(), List.of(rules));
    }

    private static List<String> drawn(long seed, int count) {
        Random random = new Random(seed);
        Set<String> lines = new HashSet<>();
        while (lines.size() < count) {
            StringBuilder line = new StringBuilder();
            for (int word = 0; word < 1 + random.nextInt(8); word++) {
                line.append(word == 0 ? "" : " ").append("w").append((int) Math.abs(random.nextGaussian() * 9));
            }
            lines.add(line.toString());
        }
        return new ArrayList<>(lines);
    }

    /** Apache Lucene's ShingleFilter, an independent maker of word n-grams, on the same texts. */
    private static Map<String, Integer> shingles(Keywords keywords) {
        Map<String, Integer> counts = new TreeMap<>();
        for (int k = 0; k < keywords.size(); k++) {
            Set<String> once = new HashSet<>();
            try (WhitespaceTokenizer tokens = new WhitespaceTokenizer();
                    ShingleFilter shingles = new ShingleFilter(tokens, 2, 5)) {
                tokens.setReader(new StringReader(keywords.text(k)));
                CharTermAttribute term = shingles.getAttribute(CharTermAttribute.class);
                shingles.reset();
                while (shingles.incrementToken()) {
                    once.add(term.toString());
                }
                shingles.end();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
            once.forEach(shingle -> counts.merge(shingle, 1, Integer::sum));
        }
        return counts;
    }

    @Test
    void phrasesAreCountedAsAReferenceLibraryCountsThem() {
        Keywords keywords = tidied(drawn(11, 400));
        WordCounts.Found found = WordCounts.of(
                all(keywords),
                new Phrases(keywords),
                judged(keywords),
                Set.of(),
                new WordCounts.Asked(1, 5, WordCounts.By.WORD, "", WordCounts.Little.SHOWN, true, 1_000_000));
        Map<String, Integer> counts = new TreeMap<>();
        found.words().forEach(word -> counts.put(word.word(), word.count()));
        assertThat(counts).isEqualTo(shingles(keywords));
        assertThat(found.all()).isEqualTo(counts.size());
    }

    @Test
    void littleWordsJudgedWordsAndOtherTextsAreLeftOutAsAsked() {
        Keywords keywords = tidied(List.of("veil for a hive", "hive for bees", "for bees", "free hive", "free veil"));
        Statuses statuses = judged(keywords, new Rule(1, new Condition.HasWord("free"), Status.DROPPED));
        Phrases phrases = new Phrases(keywords);
        Set<String> little = Set.of("for", "a");
        java.util.function.Function<WordCounts.Asked, List<String>> words =
                asked -> WordCounts.of(all(keywords), phrases, statuses, little, asked).words().stream()
                        .map(WordCounts.WordCount::word)
                        .toList();
        WordCounts.By count = WordCounts.By.COUNT;
        assertThat(words.apply(new WordCounts.Asked(1, 1, count, "", WordCounts.Little.NOT_AT_EDGES, false, 9)))
                .containsExactly("hive", "bees", "veil");
        assertThat(words.apply(new WordCounts.Asked(1, 1, count, "", WordCounts.Little.NOT_AT_EDGES, true, 9)))
                .containsExactly("hive", "bees", "free", "veil");
        assertThat(words.apply(new WordCounts.Asked(2, 5, count, "", WordCounts.Little.NOT_AT_EDGES, false, 9)))
                .containsExactly("hive for bees", "veil for a hive");
        assertThat(words.apply(new WordCounts.Asked(2, 5, count, "", WordCounts.Little.NOWHERE, false, 9)))
                .isEmpty();
        assertThat(words.apply(new WordCounts.Asked(1, 2, count, "bee", WordCounts.Little.SHOWN, true, 9)))
                .containsExactly("bees", "for bees");
        assertThat(words.apply(new WordCounts.Asked(1, 1, WordCounts.By.DROPPED, "", WordCounts.Little.SHOWN, true, 2)))
                .containsExactly("free", "hive");
    }

    @Test
    void familiesAreReadOffTheKeywords() {
        List<String> lines = new ArrayList<>();
        String[] things = {
            "smoker",
            "veil",
            "extractor",
            "feeder",
            "brush",
            "glove",
            "jar",
            "lid",
            "tool",
            "strap",
            "stand",
            "roof",
            "floor",
            "ladder",
            "bucket",
            "knife"
        };
        for (String thing : things) {
            for (String modifier : List.of("best", "wooden", "large", "plastic", "small")) {
                lines.add(modifier + " " + thing);
                lines.add(modifier + " " + thing + " in ottery");
            }
            lines.add("skeplund " + thing);
            lines.add("how to clean a " + thing);
            lines.add("what is a " + thing);
            lines.add(thing + " price");
            lines.add("10 frame " + thing);
            lines.add("party " + thing + " fun");
            lines.add("party " + thing + " game");
        }
        Keywords keywords = tidied(lines);
        Statuses statuses = judged(keywords, new Rule(1, new Condition.HasWord("game"), Status.DROPPED));
        Map<WordList.Kind, Set<String>> lists =
                Map.of(WordList.Kind.QUESTION_OPENERS, Set.of("how", "what"), WordList.Kind.PRICE, Set.of("price"));
        Set<String> little = Set.of("a", "to", "is", "in");
        Map<Families.Family, List<Families.Member>> families =
                Families.of(all(keywords), keywords, statuses, lists, little);
        Map<Families.Family, List<String>> words = new TreeMap<>();
        families.forEach((family, members) ->
                words.put(family, members.stream().map(Families.Member::word).toList()));
        assertThat(words.get(Families.Family.OPENERS)).containsExactly("how", "what");
        assertThat(words.get(Families.Family.PRICE)).containsExactly("price");
        assertThat(words.get(Families.Family.PLACES)).containsExactly("ottery");
        assertThat(words.get(Families.Family.NUMBERS)).containsExactly("10");
        assertThat(words.get(Families.Family.BRANDS)).containsExactly("skeplund");
        assertThat(words.get(Families.Family.OTHER_MEANINGS)).containsExactly("party");
        assertThat(words.get(Families.Family.THINGS)).contains(things);
        assertThat(words.get(Families.Family.MODIFIERS)).contains("best", "wooden", "large");
        assertThat(families.get(Families.Family.OTHER_MEANINGS).getFirst())
                .isEqualTo(new Families.Member("party", 32, 0, 16, 16));

        Collections.shuffle(lines, new Random(1));
        Keywords shuffled = tidied(lines);
        Statuses same = judged(shuffled, new Rule(1, new Condition.HasWord("game"), Status.DROPPED));
        assertThat(Families.of(all(shuffled), shuffled, same, lists, little)).isEqualTo(families);
    }

    @Test
    void aTrimLeavesTheFirstOrASampleThatTheOrderDoesNotChange() {
        Keywords keywords = tidied(drawn(3, 300));
        int[] ordered = all(keywords).stream().toArray();
        assertThat(Trim.beyond(ordered, 250)).hasSize(50).startsWith(250);
        assertThat(Trim.beyond(ordered, 999)).isEmpty();
        Set<String> outside = texts(Trim.outsideSample(ordered, 100, 7, keywords), keywords);
        assertThat(outside).hasSize(200);
        int[] turned = all(keywords).stream().map(k -> keywords.size() - 1 - k).toArray();
        assertThat(texts(Trim.outsideSample(turned, 100, 7, keywords), keywords))
                .isEqualTo(outside);
        assertThat(texts(Trim.outsideSample(ordered, 100, 8, keywords), keywords))
                .isNotEqualTo(outside);
    }

    private static Set<String> texts(int[] found, Keywords keywords) {
        Set<String> texts = new HashSet<>();
        for (int keyword : found) {
            texts.add(keywords.text(keyword));
        }
        return texts;
    }
}
