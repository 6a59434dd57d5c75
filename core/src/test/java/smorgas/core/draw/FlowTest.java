package smorgas.core.draw;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** A flow drawn to scale: nothing overlaps, and what leaves a bar is as thick as what arrives. */
class FlowTest {

    private static Map<Integer, Integer> to(int... pairs) {
        Map<Integer, Integer> amounts = new LinkedHashMap<>();
        for (int i = 0; i < pairs.length; i += 2) {
            amounts.put(pairs[i], pairs[i + 1]);
        }
        return amounts;
    }

    private static double[] ends(Flow.Ribbon ribbon) {
        String[] numbers = ribbon.path().replaceAll("[A-Z]", "").trim().split("[ ,]+");
        // Begun at the left, arrived at the right, and both again below.
        return new double[] {
            Double.parseDouble(numbers[1]),
            Double.parseDouble(numbers[7]),
            Double.parseDouble(numbers[9]),
            Double.parseDouble(numbers[15])
        };
    }

    @Test
    void ribbonsAreAsThickAsTheirAmountsAndBarsStandApart() {
        Flow flow = Flow.of(List.of(to(7, 10, 3, 5), to(3, 4), to(9, 1)));
        assertThat(flow.left()).hasSize(3);
        assertThat(flow.right()).extracting(Flow.Bar::of).containsExactly(7, 3, 9);
        double thick = ends(flow.ribbons().getFirst())[3] - ends(flow.ribbons().getFirst())[0];
        assertThat(thick).isPositive();
        for (Flow.Ribbon ribbon : flow.ribbons()) {
            double[] ends = ends(ribbon);
            assertThat(ends[3] - ends[0]).isCloseTo(ends[2] - ends[1], within(.11));
        }
        for (List<Flow.Bar> bars : List.of(flow.left(), flow.right())) {
            for (int bar = 1; bar < bars.size(); bar++) {
                assertThat(bars.get(bar).y())
                        .isGreaterThan(bars.get(bar - 1).y() + bars.get(bar - 1).height());
            }
            assertThat(bars.getLast().y() + bars.getLast().height()).isLessThanOrEqualTo(flow.height());
        }
        assertThat(Flow.of(List.of()).height()).isZero();
    }

    /** Thousands of keywords are drawn no higher than the page has room for, and still to one scale. */
    @Test
    void muchIsDrawnSmaller() {
        Flow flow = Flow.of(List.of(to(1, 4_000, 2, 8_000)));
        assertThat(flow.height()).isLessThan(400);
        assertThat(flow.right().get(1).height())
                .isCloseTo(2 * flow.right().get(0).height(), within(.1));
    }
}
