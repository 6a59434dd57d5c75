package smorgas.core.group.similarity;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import smorgas.core.group.engine.MeaningVectors;
import smorgas.core.recipe.Rules;

/**
 * Joining by chains of nearest nearest ones, beside average linkage as textbooks write it down (Sokal and Michener 1958): of all
 * pairs of groups the two are joined whose members are most alike on the whole.
 */
class LinkageTest {

    private static final List<String> TEXTS = List.of(
            "climbing shoes",
            "climbing shoes beginner",
            "climbing shoes best",
            "climbing shoes black",
            "climbing shoes cheap",
            "climbing shoes cheap kids",
            "climbing shoes for beginners",
            "climbing shoes for kids",
            "climbing shoes for wide feet",
            "climbing shoes kids sale",
            "climbing shoes mens",
            "climbing shoes resole",
            "climbing shoes resole cost",
            "climbing shoes resoling near me",
            "climbing shoes sale",
            "climbing shoes size chart",
            "climbing shoes size guide",
            "climbing shoes velcro",
            "climbing shoes velcro kids",
            "climbing shoes wide",
            "climbing shoes womens");

    private static Similarity similarity() {
        return new Similarity(
                TEXTS,
                Terms.of(
                        TEXTS,
                        Rules.NEWEST.settings().byThemes("en"),
                        "en",
                        Rules.NEWEST.similarity().reading()),
                "en",
                MeaningVectors.NONE,
                Rules.NEWEST.similarity());
    }

    /** The group of each keyword, by its first keyword, when no two are alike enough any more. */
    private static int[] plain(Similarity similarity, double enough) {
        List<int[]> groups = new ArrayList<>();
        IntStream.range(0, similarity.size()).forEach(keyword -> groups.add(new int[] {keyword}));
        while (true) {
            int one = -1;
            int other = -1;
            double most = enough;
            for (int i = 0; i < groups.size(); i++) {
                for (int j = i + 1; j < groups.size(); j++) {
                    double sum = 0;
                    for (int a : groups.get(i)) {
                        for (int b : groups.get(j)) {
                            sum += similarity.between(similarity.sum(a), similarity.sum(b));
                        }
                    }
                    double like = sum / (groups.get(i).length * groups.get(j).length);
                    if (like >= most) {
                        one = i;
                        other = j;
                        most = like;
                    }
                }
            }
            if (one < 0) {
                break;
            }
            groups.set(
                    one,
                    IntStream.concat(Arrays.stream(groups.get(one)), Arrays.stream(groups.remove(other)))
                            .sorted()
                            .toArray());
        }
        int[] first = new int[similarity.size()];
        groups.forEach(group -> Arrays.stream(group).forEach(keyword -> first[keyword] = group[0]));
        return first;
    }

    private static int[] byFirst(int[] labels) {
        return IntStream.range(0, labels.length)
                .map(keyword -> IntStream.range(0, labels.length)
                        .filter(other -> labels[other] == labels[keyword])
                        .findFirst()
                        .orElseThrow())
                .toArray();
    }

    @ParameterizedTest
    @ValueSource(doubles = {.2, .35, .45, .55, .65, .75, .9})
    void everyCutIsThatOfPlainAverageLinkage(double enough) {
        Similarity similarity = similarity();
        assertThat(Arrays.stream(similarity.links()))
                .as("each is near all others")
                .allMatch(links -> links.length == TEXTS.size() - 1);
        assertThat(byFirst(Linkage.of(similarity).cut(enough))).isEqualTo(plain(similarity, enough));
    }
}
