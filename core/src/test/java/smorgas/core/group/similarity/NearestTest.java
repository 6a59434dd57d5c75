package smorgas.core.group.similarity;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.recipe.Rules;
import smorgas.core.recipe.group.SimilarityRules;

/** Whom the search finds, beside a plain look at every pair. */
class NearestTest {

    private static final List<String> THINGS =
            List.of("harness", "harnesses", "rope", "crash pad", "quickdraw", "belay device", "chalk bag", "helmet");
    private static final List<String> SAID = List.of(
            "best",
            "cheap",
            "kids",
            "womens",
            "beginner",
            "red",
            "light",
            "alpine",
            "review",
            "size",
            "indoor",
            "sport");

    private static List<String> phrases(int size) {
        Random random = new Random(8_620);
        return IntStream.range(0, size * 3)
                .mapToObj(i -> SAID.get((int) (SAID.size() * Math.pow(random.nextDouble(), 2))) + " "
                        + THINGS.get((int) (THINGS.size() * Math.pow(random.nextDouble(), 2))) + " "
                        + SAID.get(random.nextInt(SAID.size())) + (random.nextInt(4) == 0 ? " route " + i % 90 : ""))
                .distinct()
                .limit(size)
                .sorted()
                .toList();
    }

    private static Similarity similarity(List<String> texts, SimilarityRules rules) {
        return new Similarity(
                texts,
                Terms.of(
                        texts,
                        Rules.NEWEST.settings().byThemes("en"),
                        "en",
                        Rules.NEWEST.similarity().reading()),
                "en",
                MeaningVectors.NONE,
                rules);
    }

    private static double words(Similarity similarity, int one, int other) {
        return similarity.terms(other).dot(similarity.softened(one));
    }

    @Test
    void theMostAlikeAreFoundAsByALookAtEveryPair() {
        List<String> texts = phrases(900);
        Similarity similarity = similarity(texts, Rules.NEWEST.similarity());
        for (int keyword = 0; keyword < texts.size(); keyword++) {
            int one = keyword;
            double[] best = IntStream.range(0, texts.size())
                    .filter(other -> other != one && words(similarity, one, other) >= .05)
                    .mapToDouble(other -> -words(similarity, one, other))
                    .sorted()
                    .limit(24)
                    .map(like -> -like)
                    .toArray();
            double[] found = Arrays.stream(similarity.links()[one])
                    .mapToDouble(other -> words(similarity, one, other))
                    .toArray();
            assertThat(found).as(texts.get(one)).containsExactly(best, org.assertj.core.data.Offset.offset(1e-5));
        }
    }
}
