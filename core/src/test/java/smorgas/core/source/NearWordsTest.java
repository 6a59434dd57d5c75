package smorgas.core.source;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class NearWordsTest {

    private static final Map<String, float[]> MEANT = Map.of(
            "hive", new float[] {1, 0},
            "beehive", new float[] {.96f, .28f},
            "skep", new float[] {.8f, .6f},
            "apiary", new float[] {.7f, .714f},
            "nuc", new float[] {.64f, .768f},
            "honey", new float[] {0, 1});

    @Test
    void theNearestComeFirstThreeForEachTextAndNoneTwice() {
        List<String> among = List.of("honey", "apiary", "skep", "nuc", "unknown", "beehive", "hive");
        assertThat(NearWords.of(List.of("hive"), among, MEANT::get)).containsExactly("beehive", "skep", "apiary");
        assertThat(NearWords.of(List.of("hive", "skep"), among, MEANT::get))
                .containsExactly("beehive", "apiary", "nuc", "honey");
        assertThat(NearWords.of(List.of("unknown"), among, MEANT::get)).isEmpty();
        assertThat(NearWords.of(List.of("hive"), among, text -> null)).isEmpty();
    }
}
