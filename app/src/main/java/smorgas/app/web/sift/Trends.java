package smorgas.app.web.sift;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import smorgas.core.fold.Keywords;
import smorgas.core.gather.Lines;
import smorgas.core.gather.MonthColumn;
import smorgas.core.text.Message;
import smorgas.core.text.When;

/** What is searched of a keyword month by month, as a line in its cell. */
final class Trends {

    private static final int WIDTH = 60;
    private static final int HEIGHT = 14;

    private Trends() {}

    /** The months of the first line of the keyword that tells two of them or more; an empty cell if none does. */
    static Cell.Trend of(Keywords keywords, int keyword) {
        for (Keywords.Occurrence line : keywords.occurrences(keyword)) {
            List<MonthColumn> months = keywords.basket(line).map(Lines::months).orElse(List.of());
            List<MonthColumn> known = months.stream()
                    .filter(month -> month.searches(line.row()).isPresent())
                    .toList();
            if (known.size() > 1) {
                return new Cell.Trend(
                        points(months, line.row()),
                        Message.of(
                                "sift.trend.from-to",
                                told(known.getFirst(), line.row()),
                                told(known.getLast(), line.row())));
            }
        }
        return new Cell.Trend("", Message.NONE);
    }

    /** Drawn from nought, so that a small change looks small. */
    private static String points(List<MonthColumn> months, int row) {
        int most = months.stream()
                .map(month -> month.searches(row))
                .flatMapToInt(OptionalInt::stream)
                .max()
                .orElse(1);
        List<String> points = new ArrayList<>();
        for (int i = 0; i < months.size(); i++) {
            OptionalInt searches = months.get(i).searches(row);
            if (searches.isPresent()) {
                long high = Math.round((HEIGHT - 2) * (double) searches.getAsInt() / Math.max(1, most));
                points.add(i * WIDTH / (months.size() - 1) + "," + (HEIGHT - 1 - high));
            }
        }
        return String.join(" ", points);
    }

    private static Message told(MonthColumn month, int row) {
        int searches = month.searches(row).orElseThrow();
        return month.month()
                .map(date -> Message.of("sift.trend.in", searches, When.month(date)))
                .orElseGet(() -> Message.of("sift.trend.searches", searches));
    }
}
