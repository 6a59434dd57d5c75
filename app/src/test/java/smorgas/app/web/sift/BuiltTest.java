package smorgas.app.web.sift;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.util.LinkedMultiValueMap;
import smorgas.core.figure.Computed;
import smorgas.core.figure.Decimals;
import smorgas.core.figure.Figure;
import smorgas.core.recipe.fold.Cleaning;
import smorgas.core.recipe.sift.Bounds;
import smorgas.core.recipe.sift.Condition;
import smorgas.core.recipe.sift.Placing;
import smorgas.core.recipe.sift.Status;

/** A condition that is built by picking is the one that the fields say, and can be opened again. */
class BuiltTest {

    private static final List<Condition> ROWS = List.of(
            new Condition.HasWord("bee hive"),
            new Condition.HasAnyWord(List.of("veil", "bee suit")),
            new Condition.Worded(Placing.ANY_ORDER, "hive wooden"),
            new Condition.Worded(Placing.IN_ORDER, "wooden hive"),
            new Condition.Worded(Placing.EXACTLY, "bee hive"),
            new Condition.Worded(Placing.STARTS, "how to"),
            new Condition.Worded(Placing.ENDS, "near me"),
            new Condition.OnList("Rivals"),
            new Condition.HasText("comb"),
            new Condition.Matches("^bee.*s$"),
            new Condition.Count(Computed.WORDS, new Bounds(2L, 4L)),
            new Condition.Count(Computed.COMPETITORS, Bounds.from(2)),
            new Condition.FigureWithin(Figure.CPC, new Bounds(250_000L, 1_500_000L)),
            new Condition.FigureWithin(Figure.SEARCHES, Bounds.upTo(0)),
            new Condition.FigureUnknown(Figure.POSITION),
            new Condition.HasDigit(),
            new Condition.InBasket("list.csv"),
            new Condition.HasTag("later"),
            new Condition.HasScript(Cleaning.Script.GREEK),
            new Condition.Stands(Status.KEPT));

    @Test
    void whatEveryKindOfRowSaysComesBackAsTheSameRow() {
        for (Condition row : ROWS) {
            assertThat(Built.of(row, Decimals.POINT).read(Decimals.POINT).condition())
                    .contains(row);
        }
        Condition all = new Condition.AllOf(ROWS);
        assertThat(Built.of(all, Decimals.POINT).read(Decimals.POINT).condition())
                .contains(all);
        Condition nested = new Condition.AllOf(List.of(
                new Condition.AllOf(ROWS.subList(0, 2)),
                new Condition.AnyOf(ROWS.subList(2, 5)),
                new Condition.NoneOf(ROWS.subList(5, 6))));
        assertThat(Built.of(nested, Decimals.POINT).read(Decimals.POINT).condition())
                .contains(nested);
    }

    private static LinkedMultiValueMap<String, String> fields(String... namesAndValues) {
        LinkedMultiValueMap<String, String> fields = new LinkedMultiValueMap<>();
        for (int i = 0; i < namesAndValues.length; i += 2) {
            fields.add(namesAndValues[i], namesAndValues[i + 1]);
        }
        return fields;
    }

    @Test
    void rowsAreAddedAndTakenAwayAndEmptyOnesAskNothing() {
        var sent = fields(
                "how", "ANY", "part", "0", "kind", "word", "value", "hive", "part", "0", "kind", "word", "value", "");
        assertThat(Built.of(sent).read(Decimals.POINT).condition()).contains(new Condition.HasWord("hive"));
        sent.add("more", "0");
        assertThat(Built.of(sent).parts().getFirst().rows()).hasSize(3);
        sent.add("without", "0");
        assertThat(Built.of(sent).parts().getFirst().rows())
                .extracting(Built.Row::value)
                .containsExactly("", "");
        sent.add("another", "true");
        assertThat(Built.of(sent).parts()).hasSize(2);
        assertThat(Built.of(fields("how", "ALL", "part", "7", "kind", "word")).parts())
                .isEqualTo(Built.empty().parts());
    }

    @Test
    void whatCannotBeReadIsToldWithItsPlace() {
        var pattern = fields("how", "ALL", "part", "0", "kind", "pattern", "value", "bee (hive");
        assertThat(Built.of(pattern).read(Decimals.POINT).faults())
                .singleElement()
                .asString()
                .contains("bee (hive", "missing closing )");
        var number = fields("how", "ALL", "part", "0", "kind", "words", "least", "many");
        assertThat(Built.of(number).read(Decimals.POINT).faults())
                .map(Object::toString)
                .containsExactly("\"many\" is no number.");
        var swapped = fields("how", "ALL", "part", "0", "kind", "words", "least", "5", "most", "2");
        assertThat(Built.of(swapped).read(Decimals.POINT).faults())
                .singleElement()
                .asString()
                .contains("swap the two");
        var none = fields("how", "ALL", "part", "0", "kind", "figure:SHOE_SIZE", "least", "5");
        assertThat(Built.of(none).read(Decimals.POINT).faults())
                .singleElement()
                .asString()
                .contains("no figure");
    }
}
