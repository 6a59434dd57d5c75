package smorgas.bench;

import java.util.List;
import java.util.stream.IntStream;
import smorgas.core.recipe.gather.CombineSettings;
import smorgas.core.source.Combinations;

/** Word lists multiplied to a million phrases. */
final class Combining {

    private static final int ROUNDS = 7;
    private static final int WARM_UP = 2;

    private Combining() {}

    private static CombineSettings.Column column(String name, int words) {
        return new CombineSettings.Column(
                IntStream.range(0, words).mapToObj(i -> name + " word" + i).toList(), false, false);
    }

    static void run() {
        System.out.printf("%nCombine 100 x 100 x 100 phrases of two words; ms, median and 95th percentile%n");
        List<CombineSettings.Column> columns =
                List.of(column("first", 100), column("second", 100), column("third", 100));
        for (boolean once : new boolean[] {false, true}) {
            CombineSettings combine = new CombineSettings(columns, " ", "", "", once, CombineSettings.MOST);
            Values.measured(
                    "a million phrases" + (once ? ", doubled words once" : ""),
                    ROUNDS,
                    WARM_UP,
                    round -> Combinations.of(combine));
        }
    }
}
