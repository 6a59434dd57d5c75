package smorgas.bench;

import java.util.List;
import java.util.stream.IntStream;
import smorgas.core.recipe.gather.Pairing;
import smorgas.core.source.Pairs;

/** Word lists multiplied to a million phrases. */
final class Pairings {

    private static final int ROUNDS = 7;
    private static final int WARM_UP = 2;

    private Pairings() {}

    private static Pairing.Column column(String name, int words) {
        return new Pairing.Column(
                IntStream.range(0, words).mapToObj(i -> name + " word" + i).toList(), false, false);
    }

    static void run() {
        System.out.printf("%nPairing 100 x 100 x 100 phrases of two words; ms, median and 95th percentile%n");
        List<Pairing.Column> columns = List.of(column("first", 100), column("second", 100), column("third", 100));
        for (boolean once : new boolean[] {false, true}) {
            Pairing pairing = new Pairing(columns, " ", "", "", once, Pairing.MOST);
            Values.measured(
                    "a million phrases" + (once ? ", doubled words once" : ""),
                    ROUNDS,
                    WARM_UP,
                    round -> Pairs.of(pairing));
        }
    }
}
