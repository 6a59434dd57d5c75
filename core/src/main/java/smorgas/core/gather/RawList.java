package smorgas.core.gather;

import smorgas.core.figure.Decimals;
import smorgas.core.recipe.gather.ReadAs;

/**
 * A list as it came, and how it is meant.
 *
 * @param name what it is called
 * @param bytes any bytes; not copied
 * @param readAs what a hand has put right
 * @param decimals how a number is meant that can be read in two ways
 */
public record RawList(String name, byte[] bytes, ReadAs readAs, Decimals decimals) {

    /** Of which no more is known than what stands in it. */
    public static RawList of(String name, byte[] bytes) {
        return new RawList(name, bytes, ReadAs.FOUND, Decimals.POINT);
    }
}
