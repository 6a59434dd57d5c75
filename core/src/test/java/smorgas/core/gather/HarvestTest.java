package smorgas.core.gather;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Names as people give them from month to month, paired by hand first. */
class HarvestTest {

    @Test
    void theSameNameGoesBeforeOneThatDiffersInItsDate() {
        assertThat(Harvest.pairs(
                        List.of("planner-2026-09.csv", "Competitor.csv", "seeds.txt", "planner-2026-10.csv"),
                        List.of("competitor.CSV", "planner-2026-10.csv", "planner-2026-11.csv", "reviews.txt")))
                .isEqualTo(Map.of(0, 1, 1, 3, 2, 0));
    }

    @Test
    void monthsAreDatesInWordsAndInNumbers() {
        assertThat(Harvest.pairs(
                        List.of("harvest sep.csv", "2026-09-01 own campaign.csv", "märz.csv"),
                        List.of("Harvest October 2026.csv", "own campaign (2).csv", "marzipan.csv")))
                .isEqualTo(Map.of(0, 0, 1, 1));
    }

    @Test
    void monthsAreDatesInOtherLanguagesToo() {
        assertThat(Harvest.pairs(
                        List.of("planer_dezember.csv", "recherche août 2025.csv", "market.csv"),
                        List.of("planer_januar.csv", "recherche sept 2025.csv", "mai.csv")))
                .isEqualTo(Map.of(0, 0, 1, 1));
    }

    @Test
    void whatCouldBeEitherOfTwoIsNone() {
        assertThat(Harvest.pairs(List.of("list 1.csv", "list 2.csv"), List.of("list 3.csv")))
                .isEmpty();
        assertThat(Harvest.pairs(List.of("list 1.csv"), List.of("list 2.csv", "list 3.csv")))
                .isEmpty();
        assertThat(Harvest.pairs(List.of(), List.of("a.csv"))).isEmpty();
        assertThat(Harvest.pairs(List.of("2026-09.csv"), List.of("2026-10.csv")))
                .isEqualTo(Map.of(0, 0));
    }
}
