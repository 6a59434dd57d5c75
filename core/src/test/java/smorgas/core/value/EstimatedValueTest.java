package smorgas.core.value;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import smorgas.core.board.Board;
import smorgas.core.column.Numbers;
import smorgas.core.figure.Computed;
import smorgas.core.figure.Decimals;
import smorgas.core.gather.TestLists;
import smorgas.core.recipe.Entry;
import smorgas.core.recipe.GroupDecision;
import smorgas.core.recipe.Recipe;
import smorgas.core.recipe.SiftEntry;
import smorgas.core.recipe.ValueEntry;
import smorgas.core.recipe.value.Assumed;
import smorgas.core.recipe.value.Assumptions;
import smorgas.core.recipe.value.ClickTable;
import smorgas.core.recipe.value.CostBy;
import smorgas.core.recipe.value.Span;
import smorgas.core.text.Refusal;

class EstimatedValueTest {

    private static final long ONE = 1_000_000;

    private static final Assumptions TAUGHT = new Assumptions(
            Map.of(
                    Assumed.CLICK_SHARE, Span.of(3_000),
                    Assumed.CONVERSION_RATE, Span.of(500),
                    Assumed.CUSTOMER_SHARE, Span.of(1_000),
                    Assumed.VALUE, Span.of(2_000 * ONE)),
            CostBy.CPC_OR_BIDS);

    private static Assumptions only(Assumed what, long low, long high) {
        return new Assumptions(Map.of(what, new Span(low, high)), CostBy.AS_ELSEWHERE);
    }

    private static Entry of(String tag, String group, Assumptions assumptions) {
        return new ValueEntry.AssumptionsSet(tag, group, assumptions);
    }

    private static Board board(String list, Entry... entries) {
        List<Entry> all = new ArrayList<>(List.of(of("", "", TAUGHT)));
        all.addAll(List.of(entries));
        return Board.of(List.of(TestLists.lines(1, list)), Recipe.of(all, "en"));
    }

    private static String told(Board board, Computed what, String keyword) {
        return board.facts().exported(what, board.keywords().find(keyword).orElseThrow());
    }

    /** The worked example of the trade (common practice): searches, clicks, leads, customers, value. */
    @Test
    void theExampleThatTheTradeTeaches() {
        String list = "keyword,searches\nbee hive,18100\nsmoker,\n";
        Board board = board(list);
        assertThat(told(board, Computed.ESTIMATED_VALUE, "bee hive")).isEqualTo("54300");
        assertThat(told(board, Computed.EXPECTED_CLICKS, "bee hive")).isEqualTo("5430");
        assertThat(told(board, Computed.EXPECTED_CONVERSIONS, "bee hive")).isEqualTo("271.5");
        assertThat(told(board, Computed.ESTIMATED_VALUE, "smoker"))
                .as("unknown searches give unknown estimated-value")
                .isEmpty();
        Board better =
                board(list, of("", "", only(Assumed.CLICK_SHARE, 3_500, 3_500).over(TAUGHT)));
        assertThat(told(better, Computed.ESTIMATED_VALUE, "bee hive")).isEqualTo("63350");
        BitSet all = new BitSet();
        all.set(0, 2);
        EstimatedValue.Total sum = better.estimatedValue().sum(all).parts().get(EstimatedValue.Part.VALUE);
        assertThat(sum.middle()).isEqualTo(63_350_00);
        assertThat(sum.unknown()).isEqualTo(1);
    }

    @Test
    void rangesGiveALowAMiddleAndAHighAndTheCostTakesTheCpcElseTheBids() {
        Board board = board(
                "keyword,searches,cpc,low bid,high bid\nhive,100 - 1000,0.50,,\nsmoker,1000,,0.20,0.60\nveil,1000,,,\n");
        assertThat(told(board, Computed.ESTIMATED_VALUE, "hive")).isEqualTo("300-3000");
        assertThat(board.facts().numbers(Computed.ESTIMATED_VALUE).twiceMiddle(0))
                .isEqualTo(2 * 1_650_00);
        assertThat(told(board, Computed.EXPECTED_COST, "hive")).isEqualTo("15-150");
        assertThat(told(board, Computed.EXPECTED_COST, "smoker")).isEqualTo("60-180");
        assertThat(told(board, Computed.RETURN, "hive"))
                .as("the same clicks bring and cost")
                .isEqualTo("285-2850");
        assertThat(told(board, Computed.RETURN, "smoker")).isEqualTo("2820-2940");
        assertThat(told(board, Computed.RETURN, "veil")).isEmpty();
        Board dear = board("keyword,searches,cpc\nhive,100 - 1000,12\n");
        assertThat(told(dear, Computed.RETURN, "hive"))
                .as("the more it is searched the more is lost")
                .isEqualTo("-600--60");
        Board pages =
                board("keyword,searches\nhive,1000\n", of("", "", new Assumptions(TAUGHT.figures(), CostBy.NOTHING)));
        assertThat(told(pages, Computed.RETURN, "hive")).isEqualTo("3000");
    }

    @Test
    void aPlaceDrawsWhatTheTableSaysAndTagsAndGroupsAreAssumedOtherwise() {
        String list = "keyword,searches\nhive,1000\nsmoker,1000\nveil,1000\nlarge veil,1000\n";
        Board board = board(
                list,
                new ValueEntry.ClickTableSet(new ClickTable("Ours", List.of(4_000, 2_000, 1_000))),
                new SiftEntry.Tagged(List.of("smoker", "veil"), List.of(), "second", true),
                new GroupDecision.KeywordsPlaced(List.of("veil", "large veil"), List.of(), "veils"),
                of("second", "", only(Assumed.PLACE, 2, 3)),
                of("", "veils", only(Assumed.VALUE, 100 * ONE, 100 * ONE)));
        assertThat(told(board, Computed.ESTIMATED_VALUE, "hive")).isEqualTo("3000");
        assertThat(told(board, Computed.ESTIMATED_VALUE, "smoker"))
                .as("the lower place draws the fewer clicks")
                .isEqualTo("1000-2000");
        assertThat(told(board, Computed.ESTIMATED_VALUE, "veil"))
                .as("the place of its tag, the value of its group")
                .isEqualTo("50-100");
        assertThat(told(board, Computed.ESTIMATED_VALUE, "large veil")).isEqualTo("150");
    }

    @Test
    void whatIsAssumedChangesNoGroupAndNoStatus() {
        Board before = board("keyword,searches\nbee hive,18100\nbee hive kit,10\nbee hive stand,20\n");
        var groups = before.groups();
        Board after = before.next(
                List.copyOf(before.keywords().baskets()),
                Recipe.of(List.of(of("", "", only(Assumed.PLACE, 1, 1))), "en"));
        assertThat(after.groups()).isSameAs(groups);
        assertThat(after.statuses()).isSameAs(before.statuses());
        assertThat(told(after, Computed.EXPECTED_CLICKS, "bee hive"))
                .as("30% at the first place")
                .isEqualTo("5430");
        assertThat(after.facts().any(Computed.ESTIMATED_VALUE)).isTrue();
        assertThat(told(after, Computed.ESTIMATED_VALUE, "bee hive")).isEmpty();
    }

    @Test
    void nothingIsComputedFromNonsense() {
        assertThatThrownBy(() -> only(Assumed.CONVERSION_RATE, 10_100, 10_100))
                .isInstanceOf(Refusal.class)
                .hasMessage("Conversion rate is 0 to 100%, not what was written");
        assertThatThrownBy(() -> only(Assumed.PLACE, 0, 2)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> new Span(3, 2)).isInstanceOf(Refusal.class);
        assertThatThrownBy(() -> ClickTable.of("Ours", "30%\n12,5\n13", Decimals.of("de")))
                .hasMessage("Place 3 has more clicks (13%) than place 2 (12.5%): a lower place never draws more");
        assertThatThrownBy(() -> ClickTable.of("Ours", "30\n\n10", Decimals.of("en")))
                .hasMessageContaining("Line 2 of the table of clicks is empty");
        assertThatThrownBy(() -> ClickTable.of("Ours", "30\nmany", Decimals.of("en")))
                .hasMessageContaining("\"many\", is no share");
        assertThatThrownBy(() -> ClickTable.of("Ours", "60\n50", Decimals.of("en")))
                .hasMessageContaining("110% of the clicks together");
        for (ClickTable shipped : ClickTable.SHIPPED) {
            assertThat(ClickTable.of(shipped.name(), shipped.text(), Decimals.of("en")))
                    .isEqualTo(shipped);
        }
    }

    /** The formula written out in exact decimals, for a plain figure of each. */
    private static BigDecimal slow(long searches, long share, long rate, long customers, long value) {
        return BigDecimal.valueOf(searches)
                .multiply(BigDecimal.valueOf(share, 4))
                .multiply(BigDecimal.valueOf(rate, 4))
                .multiply(BigDecimal.valueOf(customers, 4))
                .multiply(BigDecimal.valueOf(value, 6));
    }

    @Test
    void drawnFiguresGiveWhatTheFormulaGivesAndTheEndsHoldTheMiddle() {
        Random random = new Random(17);
        for (int round = 0; round < 40; round++) {
            long[] low = {
                random.nextInt(10_001), random.nextInt(10_001), random.nextInt(10_001), random.nextInt(900) * ONE
            };
            long[] high = new long[low.length];
            for (int i = 0; i < low.length; i++) {
                long most = i == 3 ? 1_000 * ONE : 10_000;
                high[i] = low[i] + (long) (random.nextDouble() * (most - low[i]));
            }
            Assumed[] what = {Assumed.CLICK_SHARE, Assumed.CONVERSION_RATE, Assumed.CUSTOMER_SHARE, Assumed.VALUE};
            Map<Assumed, Span> figures = new HashMap<>();
            for (int i = 0; i < what.length; i++) {
                figures.put(what[i], new Span(low[i], high[i]));
            }
            StringBuilder list = new StringBuilder("keyword,searches,cpc\n");
            long[] searches = new long[30];
            for (int i = 0; i < searches.length; i++) {
                searches[i] = random.nextInt(200_000);
                list.append("word")
                        .append((char) ('a' + i % 26))
                        .append(i)
                        .append(',')
                        .append(searches[i])
                        .append(",0.3\n");
            }
            Board board = Board.of(
                    List.of(TestLists.lines(1, list.toString())),
                    Recipe.of(List.of(of("", "", new Assumptions(figures, CostBy.CPC_OR_BIDS))), "en"));
            Numbers estimatedValue = board.estimatedValue().numbers(EstimatedValue.Part.VALUE);
            Numbers returns = board.estimatedValue().numbers(EstimatedValue.Part.RETURN);
            BigDecimal all = BigDecimal.ZERO;
            for (int i = 0; i < searches.length; i++) {
                int keyword = board.keywords()
                        .find("word" + (char) ('a' + i % 26) + i)
                        .orElseThrow();
                BigDecimal least = slow(searches[i], low[0], low[1], low[2], low[3]);
                BigDecimal most = slow(searches[i], high[0], high[1], high[2], high[3]);
                assertThat(BigDecimal.valueOf(estimatedValue.low(keyword), 2))
                        .isCloseTo(least, within(new BigDecimal("0.0051")));
                assertThat(BigDecimal.valueOf(estimatedValue.high(keyword), 2))
                        .isCloseTo(most, within(new BigDecimal("0.0051")));
                assertThat(estimatedValue.twiceMiddle(keyword))
                        .isBetween(2 * estimatedValue.low(keyword) - 1, 2 * estimatedValue.high(keyword) + 1);
                assertThat(returns.twiceMiddle(keyword))
                        .isBetween(2 * returns.low(keyword) - 1, 2 * returns.high(keyword) + 1);
                all = all.add(least);
            }
            BitSet every = new BitSet();
            every.set(0, board.keywords().size());
            assertThat(BigDecimal.valueOf(board.estimatedValue()
                                    .sum(every)
                                    .parts()
                                    .get(EstimatedValue.Part.VALUE)
                                    .low()
                            / 100))
                    .isCloseTo(all, within(new BigDecimal("0.01")));
        }
    }
}
