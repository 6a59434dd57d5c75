package smorgas.app.web.group;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.nio.charset.StandardCharsets;
import java.util.BitSet;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import smorgas.core.board.Board;
import smorgas.core.draw.AreaSize;
import smorgas.core.gather.BasketReader;
import smorgas.core.group.read.ThemeTree;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.ValueEntry;
import smorgas.core.recipe.value.Assumed;
import smorgas.core.recipe.value.Assumptions;
import smorgas.core.recipe.value.CostBy;
import smorgas.core.recipe.value.Span;
import smorgas.core.value.EstimatedValue;

class AreaEstimatedValueTest {

    private static final Board BOARD = board();

    private static Board board() {
        StringBuilder list = new StringBuilder("keyword,searches\n");
        int searches = 10;
        for (String thing : List.of("oak stand", "oak lid", "pine stand", "pine roof", "wax", "smoker")) {
            for (String dress : List.of("%s uk", "buy %s", "%s for sale", "cheap %s", "%s near me")) {
                list.append(dress.formatted(thing))
                        .append(',')
                        .append(searches += 7)
                        .append('\n');
            }
        }
        list.append("mead,\nqueen,900\n");
        return Board.of(
                List.of(BasketReader.lines(1, "list", list.toString().getBytes(StandardCharsets.UTF_8))
                        .lines()
                        .orElseThrow()),
                Recipe.of(
                        List.of(new ValueEntry.AssumptionsSet(
                                "",
                                "",
                                new Assumptions(
                                        Map.of(
                                                Assumed.PLACE, Span.of(2),
                                                Assumed.CONVERSION_RATE, new Span(100, 300),
                                                Assumed.VALUE, Span.of(50_000_000)),
                                        CostBy.NOTHING))),
                        "en"));
    }

    @Test
    void whatIsUnderAThemeIsAsLargeAsItsGroupsTogetherAndNothingIsLost() {
        AreaSize size = AreaEstimatedValue.of(BOARD);
        ThemeTree tree = BOARD.groups().tree();
        for (int node = 0; node < tree.size(); node++) {
            int group = tree.node(node).group();
            double under = tree.under(node).stream()
                    .mapToDouble(size.node()::applyAsDouble)
                    .sum();
            assertThat(size.node().applyAsDouble(node))
                    .isCloseTo(under + (group < 0 ? 0 : size.group().applyAsDouble(group)), within(1e-6));
        }
        double groups = IntStream.range(0, BOARD.groups().grouping().size())
                .mapToDouble(size.group())
                .sum();
        double tops =
                tree.under(-1).stream().mapToDouble(size.node()::applyAsDouble).sum();
        BitSet all = new BitSet();
        all.set(0, BOARD.keywords().size());
        double together = BOARD.estimatedValue()
                .sum(all)
                .parts()
                .get(EstimatedValue.Part.VALUE)
                .middle();
        assertThat(groups + size.ungrouped()).isCloseTo(together, within(1.0 * all.cardinality()));
        assertThat(tops).isCloseTo(groups, within(1e-6));
        assertThat(groups).isPositive();
    }

    @Test
    void theOtherSizesAreThoseOfTheGroups() {
        AreaSize searches = AreaSize.bySearches(BOARD.groups());
        AreaSize keywords = AreaSize.byKeywords(BOARD.groups());
        int first = BOARD.groups().order()[0];
        assertThat(searches.group().applyAsDouble(first))
                .isEqualTo(BOARD.groups().searches(first).sum());
        assertThat(keywords.group().applyAsDouble(first))
                .isEqualTo(BOARD.groups().keywords(first));
        assertThat(keywords.ungrouped()).isEqualTo(BOARD.groups().grouping().ungrouped());
        assertThat(searches.ungrouped())
                .isEqualTo(BOARD.groups().ungroupedSearches().sum());
    }
}
