package smorgas.core.group.read;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import smorgas.core.group.engine.Nearness;

/**
 * The two parts of some keywords that average linkage joins last.
 *
 * @param smaller the part with fewer keywords, rising; of equal ones that of the first keyword
 * @param like how alike the parts are, 0 to 1
 */
record LastJoin(int[] smaller, double like) {

    /**
     * Divides keywords.
     *
     * @param members at least two
     */
    static LastJoin of(int[] members, Nearness nearness) {
        int size = members.length;
        double[][] like = new double[size][size];
        for (int i = 0; i < size; i++) {
            for (int j = 0; j < i; j++) {
                like[i][j] = nearness.alike(members[i], members[j]);
                like[j][i] = like[i][j];
            }
        }
        List<IntArrayList> parts = new ArrayList<>();
        for (int member : members) {
            parts.add(IntArrayList.of(member));
        }
        boolean[] gone = new boolean[size];
        for (int left = size; left > 2; left--) {
            join(like, parts, gone);
        }
        int[] rest = IntStream.range(0, size).filter(i -> !gone[i]).toArray();
        IntArrayList one = parts.get(rest[0]);
        IntArrayList other = parts.get(rest[1]);
        int[] smaller = (other.size() < one.size() ? other : one).toIntArray();
        Arrays.sort(smaller);
        return new LastJoin(smaller, like[rest[0]][rest[1]]);
    }

    /** The two most alike become one. */
    private static void join(double[][] like, List<IntArrayList> parts, boolean[] gone) {
        int size = gone.length;
        int one = -1;
        int other = -1;
        double most = -1;
        for (int i = 0; i < size; i++) {
            for (int j = 0; j < i && !gone[i]; j++) {
                if (!gone[j] && like[i][j] > most) {
                    most = like[i][j];
                    one = j;
                    other = i;
                }
            }
        }
        double a = parts.get(one).size();
        double b = parts.get(other).size();
        for (int k = 0; k < size; k++) {
            like[one][k] = (a * like[one][k] + b * like[other][k]) / (a + b);
            like[k][one] = like[one][k];
        }
        parts.get(one).addAll(parts.get(other));
        gone[other] = true;
    }
}
