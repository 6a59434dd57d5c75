package smorgas.core.recipe.value;

import java.util.List;
import smorgas.core.figure.Decimals;
import smorgas.core.figure.Figure;
import smorgas.core.figure.FigureReader;
import smorgas.core.text.Characters;
import smorgas.core.text.Refusal;

/**
 * How many of a hundred searches lead to a click at each place.
 *
 * @param name of 1 to 100 characters
 * @param shares by place from the first, in hundredths of a per cent; none larger than the one before, all together at
 *     most a hundred per cent
 */
public record ClickTable(String name, List<Integer> shares) {

    public static final int MOST_PLACES = 100;

    private static final int ALL = 10_000;

    /**
     * The first place draws 30% to 35% of clicks (common practice); the others fall as such tables fall (from memory).
     */
    public static final ClickTable USUAL =
            new ClickTable("Usual", List.of(3_000, 1_500, 1_000, 700, 500, 400, 300, 250, 200, 180));

    /**
     * Clicks by place in a query log of 2006 that was published for research, as it is commonly cited (from memory); its tenth
     * place, which had a little more than the ninth, is given as much as that.
     */
    public static final ClickTable LOGGED =
            new ClickTable("Query log of 2006", List.of(4_230, 1_192, 844, 603, 486, 399, 337, 298, 283, 283));

    /** Those that come with the application. */
    public static final List<ClickTable> SHIPPED = List.of(USUAL, LOGGED);

    public ClickTable {
        name = name.strip();
        shares = List.copyOf(shares);
        if (name.isEmpty() || Characters.count(name) > 100) {
            throw new Refusal("value.click-table.table-clicks-name-1");
        }
        if (shares.isEmpty() || shares.size() > MOST_PLACES) {
            throw new Refusal("value.click-table.table-clicks-1-places", MOST_PLACES, shares.size());
        }
        int sum = 0;
        for (int i = 0; i < shares.size(); i++) {
            if (shares.get(i) < 0) {
                throw new Refusal("value.click-table.place-fewer-clicks-than", i + 1);
            }
            if (i > 0 && shares.get(i) > shares.get(i - 1)) {
                throw new Refusal(
                        "value.click-table.place-more-clicks-than",
                        i + 1,
                        percent(shares.get(i)),
                        i,
                        percent(shares.get(i - 1)));
            }
            sum += shares.get(i);
        }
        if (sum > ALL) {
            throw new Refusal("value.click-table.places-clicks-together-100", percent(sum));
        }
    }

    /**
     * A table as people write it, a place a line.
     *
     * @throws Refusal that names the line that is wrong
     */
    public static ClickTable of(String name, String text, Decimals decimals) {
        FigureReader reader = new FigureReader(decimals);
        List<String> lines = text.strip().lines().toList();
        List<Integer> shares = new java.util.ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            String line = lines.get(i).strip();
            if (line.isEmpty()) {
                throw new Refusal("value.click-table.line-table-clicks-empty", i + 1);
            }
            if (reader.read(line, Figure.CTR) != FigureReader.Outcome.READ || reader.low() != reader.high()) {
                throw new Refusal("value.click-table.line-table-clicks-share", i + 1, line);
            }
            shares.add((int) Math.min(reader.low(), Integer.MAX_VALUE / 200));
        }
        return new ClickTable(name, shares);
    }

    /** The share at a place, from 1, in hundredths of a per cent; nothing is said of places past the last: 0. */
    public int at(long place) {
        return place < 1 || place > shares.size() ? 0 : shares.get((int) place - 1);
    }

    /** As {@link #of} reads it. */
    public String text() {
        return String.join("\n", shares.stream().map(ClickTable::number).toList());
    }

    private static String percent(int hundredths) {
        return number(hundredths) + "%";
    }

    private static String number(int hundredths) {
        return java.math.BigDecimal.valueOf(hundredths, 2).stripTrailingZeros().toPlainString();
    }
}
