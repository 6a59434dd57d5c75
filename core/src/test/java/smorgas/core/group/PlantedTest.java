package smorgas.core.group;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.BitSet;
import java.util.stream.IntStream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import smorgas.core.fold.Keywords;
import smorgas.core.recipe.Rules;

/** Themes that are known are found again, by the settings a new project has. */
class PlantedTest {

    /** Bounds: precision against the things .99, recall against the themes .92, F1 against the themes .95. */
    @ParameterizedTest
    @CsvSource({"12, 1", "12, 2", "12, 3", "30, 1", "30, 2", "60, 1"})
    void themesThatAreKnownAreFound(int each, long seed) {
        Planted planted = Planted.make(300, each, seed);
        Keywords keywords = planted.fold();
        BitSet all = new BitSet();
        all.set(0, keywords.size());
        Grouping grouping = Grouper.group(
                GroupingInput.of(keywords.folded(), all, "en", Rules.NEWEST.similarity(), Rules.NEWEST.themes()),
                Rules.NEWEST.settings().byThemes("en"));
        Planted.Judged judged = planted.judge(
                keywords,
                IntStream.range(0, keywords.size()).map(grouping::groupOf).toArray());
        assertThat(judged.things().precision()).isGreaterThanOrEqualTo(.99);
        assertThat(judged.themes().recall()).isGreaterThanOrEqualTo(.92);
        assertThat(judged.themes().f()).isGreaterThanOrEqualTo(.95);
    }
}
