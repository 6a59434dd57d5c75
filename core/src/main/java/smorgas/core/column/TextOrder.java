package smorgas.core.column;

import it.unimi.dsi.fastutil.ints.IntArrays;
import it.unimi.dsi.fastutil.ints.IntComparator;
import java.util.Arrays;

/**
 * Things numbered in the order of their texts, so that an order by number depends on no order in which they came.
 *
 * @param texts by number
 * @param numbers of each thing
 */
public record TextOrder(String[] texts, int[] numbers) {

    /**
     * Numbers things.
     *
     * @param shown the text of each
     * @param equal the order of things of the same text
     */
    public static TextOrder of(String[] shown, IntComparator equal) {
        int[] inOrder = new int[shown.length];
        Arrays.setAll(inOrder, thing -> thing);
        IntArrays.parallelQuickSort(inOrder, (a, b) -> {
            int byText = shown[a].compareTo(shown[b]);
            return byText != 0 ? byText : equal.compare(a, b);
        });
        String[] texts = new String[shown.length];
        int[] numbers = new int[shown.length];
        for (int number = 0; number < inOrder.length; number++) {
            texts[number] = shown[inOrder[number]];
            numbers[inOrder[number]] = number;
        }
        return new TextOrder(texts, numbers);
    }

    /** Things whose texts are in order already. */
    public static TextOrder as(String[] shown) {
        int[] numbers = new int[shown.length];
        Arrays.setAll(numbers, thing -> thing);
        return new TextOrder(shown, numbers);
    }
}
