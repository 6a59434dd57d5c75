package smorgas.core.fold;

import java.util.Arrays;
import smorgas.core.column.RaggedInts;

/** Where the lines of all baskets are that are numbered one after the other. */
final class LinePlaces {

    private final int[] starts;

    /** @param starts the number of the first line of each basket, and behind the last how many there are */
    LinePlaces(int[] starts) {
        this.starts = starts;
    }

    /** The place of the basket that a line is of. */
    int basket(int line) {
        int place = Arrays.binarySearch(starts, line);
        if (place < 0) {
            return -place - 2;
        }
        // Empty baskets share their start with the next one: the line is in the last of them.
        while (place + 1 < starts.length - 1 && starts[place + 1] == line) {
            place++;
        }
        return place;
    }

    /** Which row a line is of the basket in that place. */
    int row(int line, int basket) {
        return line - starts[basket];
    }

    /** In how many baskets each keyword is, by its lines, which rise. */
    int[] counts(RaggedInts lines, int keywords) {
        int[] counts = new int[keywords];
        for (int keyword = 0; keyword < keywords; keyword++) {
            int last = -1;
            for (int i = 0; i < lines.length(keyword); i++) {
                int basket = basket(lines.get(keyword, i));
                if (basket != last) {
                    counts[keyword]++;
                    last = basket;
                }
            }
        }
        return counts;
    }
}
