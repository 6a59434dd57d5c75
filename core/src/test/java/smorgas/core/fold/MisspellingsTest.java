package smorgas.core.fold;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.Set;
import org.apache.lucene.util.automaton.CharacterRunAutomaton;
import org.apache.lucene.util.automaton.LevenshteinAutomata;
import org.apache.lucene.util.automaton.Operations;
import org.junit.jupiter.api.Test;
import smorgas.core.gather.TestLists;
import smorgas.core.language.Lexicon;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.FoldEntry;
import smorgas.core.recipe.Folding;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.fold.WordPair;

class MisspellingsTest {

    private static List<Misspellings.Proposal> proposals(String list, Folding folding) {
        return Misspellings.of(Prepared.of(Spellings.of(List.of(TestLists.lines(1, list))), folding), folding);
    }

    private static String many(String word, int times) {
        StringBuilder list = new StringBuilder();
        for (int i = 0; i < times; i++) {
            list.append(word).append(" x").append(i).append('\n');
        }
        return list.toString();
    }

    @Test
    void aRareFormOfAFrequentWordIsProposedUntilItIsJudged() {
        String list = many("smoker", 12) + "smokr lid\n" + many("smokers", 2) + "10smoker\n";
        List<Misspellings.Proposal> found = proposals(list, Folding.standard("en", Rules.NEWEST));
        assertThat(found).singleElement().satisfies(proposal -> {
            assertThat(proposal.wrong()).isEqualTo("smokr");
            assertThat(proposal.right()).isEqualTo("smoker");
            assertThat(List.of(proposal.wrongCount(), proposal.rightCount(), proposal.distance()))
                    .containsExactly(1, 12, 1);
            assertThat(proposal.confidence()).isBetween(.5, 1.);
        });
        for (boolean accepted : new boolean[] {true, false}) {
            Entry judged = new FoldEntry.MisspellingsJudged(List.of(new WordPair("smokr", "smoker")), accepted);
            assertThat(proposals(list, Recipe.of(List.of(judged), "en").folding()))
                    .isEmpty();
        }
    }

    @Test
    void neitherTwoDictionaryWordsNorFormsOfOneWordAreProposed() {
        assertThat(proposals(
                        many("form", 30) + "from here\n" + many("smoker", 30) + "smoked ham\n",
                        Folding.standard("en", Rules.NEWEST)))
                .isEmpty();
        assertThat(proposals(many("hivebox", 30) + "hiveboxes\n", Folding.standard("en", Rules.NEWEST)))
                .isEmpty();
    }

    /** Against every pair measured by another library's automata, on random words. */
    @Test
    void noCloseWordIsMissed() {
        Random random = new Random(9);
        for (int round = 0; round < 20; round++) {
            Set<String> frequent = new HashSet<>();
            Set<String> rare = new HashSet<>();
            while (rare.size() < 60) {
                (frequent.size() < 12 ? frequent : rare).add(word(random));
            }
            rare.removeAll(frequent);
            StringBuilder list = new StringBuilder();
            frequent.forEach(word -> list.append(many(word, 6)));
            rare.forEach(word -> list.append(word).append(" y\n"));
            // A language without dictionary and forms, so that the distance alone decides.
            Folding folding = Folding.standard("xx", Rules.NEWEST);
            Set<String> found = new HashSet<>();
            proposals(list.toString(), folding).forEach(p -> found.add(p.wrong()));
            Set<String> expected = new HashSet<>();
            for (String wrong : rare) {
                for (String right : frequent) {
                    int most = Math.min(wrong.length(), right.length()) >= 8 ? 2 : 1;
                    CharacterRunAutomaton near = new CharacterRunAutomaton(
                            Operations.determinize(new LevenshteinAutomata(right, true).toAutomaton(most), 100_000));
                    if (near.run(wrong)) {
                        expected.add(wrong);
                    }
                }
            }
            assertThat(found).isEqualTo(expected);
        }
    }

    private static String word(Random random) {
        StringBuilder word = new StringBuilder();
        for (int i = 0; i < 5 + random.nextInt(5); i++) {
            word.append((char) ('a' + random.nextInt(3)));
        }
        return word.toString();
    }

    /**
     * A published list of misspellings, each word right in twenty keywords and misspelt in one: what share is found, and
     * what share of the proposals is right.
     */
    @Test
    void publishedMisspellingsAreFoundAndFewProposalsAreWrong() throws IOException {
        Map<String, String> published = new HashMap<>();
        StringBuilder list = new StringBuilder();
        try (InputStream in =
                Objects.requireNonNull(getClass().getResourceAsStream("/words/misspellings-sample.tsv"))) {
            for (String line : new String(in.readAllBytes(), StandardCharsets.UTF_8)
                    .lines()
                    .toList()) {
                if (!line.startsWith("#")) {
                    String[] pair = line.split("\t");
                    published.put(pair[0], pair[1]);
                    list.append(many(pair[1], 20)).append(pair[0]).append(" z\n");
                }
            }
        }
        List<Misspellings.Proposal> found = proposals(list.toString(), Folding.standard("en", Rules.NEWEST));
        List<Misspellings.Proposal> right = new ArrayList<>(found);
        right.removeIf(p -> !p.right().equals(published.get(p.wrong())));
        long sure = found.stream().filter(p -> p.confidence() >= .7).count();
        long sureAndRight = right.stream().filter(p -> p.confidence() >= .7).count();
        System.out.printf(
                "Misspellings: %d of %d found; of %d proposals %d are right; from 70%% up %d of %d%n",
                right.size(), published.size(), found.size(), right.size(), sureAndRight, sure);
        assertThat(Lexicon.of("en").dictionary()).hasSizeGreaterThan(50_000);
        assertThat(right.size()).isGreaterThan(published.size() * 3 / 4);
        assertThat(right.size()).isGreaterThan(found.size() * 9 / 10);
        assertThat(sureAndRight).isGreaterThanOrEqualTo(sure * 95 / 100);
    }
}
