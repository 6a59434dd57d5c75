package smorgas.core.group;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import smorgas.core.fold.Folder;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.BasketReader;
import smorgas.core.recipe.GroupSettings;

/** Themes that are known are found again, by the settings a new project has. */
class PlantedTest {

    /** The agreement with themes and with things; a keyword in no group, and noise, is a class of its own. */
    record Judged(Agreement themes, Agreement things, int groups, int leftovers) {}

    static Judged judge(Planted planted, GroupSettings settings) {
        String list = "keyword\n" + String.join("\n", planted.keywords());
        Keywords keywords = Folder.fold(List.of(BasketReader.lines(1, "planted", list.getBytes(StandardCharsets.UTF_8))
                .lines()
                .orElseThrow()));
        int[] of = planted.keywords().stream()
                .mapToInt(text -> keywords.find(text).orElseThrow())
                .toArray();
        BitSet all = new BitSet();
        all.set(0, keywords.size());
        Grouping grouping = Grouper.group(Grouper.Input.of(keywords.folded(), all, "en"), settings);
        // One label for each keyword: of texts that fold into one the first.
        int[] found = new int[keywords.size()];
        int[] themes = new int[keywords.size()];
        int[] things = new int[keywords.size()];
        Arrays.fill(themes, Integer.MIN_VALUE);
        for (int i = 0; i < of.length; i++) {
            int k = of[i];
            if (themes[k] == Integer.MIN_VALUE) {
                int alone = -1 - k;
                found[k] = grouping.groupOf(k) < 0 ? alone : grouping.groupOf(k);
                themes[k] = planted.theme()[i] < 0 ? alone : planted.theme()[i];
                things[k] = planted.thing()[i] < 0 ? alone : planted.thing()[i];
            }
        }
        return new Judged(
                Agreement.of(found, themes), Agreement.of(found, things), grouping.size(), grouping.leftovers());
    }

    /** Bounds: precision against the things .99, recall against the themes .92, F1 against the themes .95. */
    @ParameterizedTest
    @CsvSource({"12, 1", "12, 2", "12, 3", "30, 1", "30, 2", "60, 1"})
    void themesThatAreKnownAreFound(int each, long seed) {
        Judged judged = judge(Planted.make(300, each, seed), GroupSettings.standard("en"));
        assertThat(judged.things().precision()).isGreaterThanOrEqualTo(.99);
        assertThat(judged.themes().recall()).isGreaterThanOrEqualTo(.92);
        assertThat(judged.themes().f()).isGreaterThanOrEqualTo(.95);
    }
}
