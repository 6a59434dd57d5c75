package smorgas.core.column;

import it.unimi.dsi.fastutil.ints.IntArrayList;
import java.util.Arrays;

/**
 * Numbers distinct sequences of ints 0, 1, 2, ... in the order in which they are first met. For one thread.
 *
 * <p>This file is written for speed: all sequences lie in one array, and a slot is looked into only when its whole hash
 * agrees; a map of lists would make an object for each of a million keywords.
 */
public final class IntSequences {

    private int[] slots;
    private int[] hashes;
    private int[] starts;
    private final IntArrayList values = new IntArrayList();
    private int size;

    /** With room for so many before it grows. */
    public IntSequences(int expected) {
        int capacity = Integer.highestOneBit(Math.max(16, Math.min(expected, 1 << 28)) * 2 - 1) * 2;
        slots = new int[capacity];
        hashes = new int[capacity / 2];
        starts = new int[capacity / 2 + 1];
    }

    /** The number of the first {@code length} ints, which are given the next free number if they are new. */
    public int intern(int[] sequence, int length) {
        int hash = 1;
        for (int i = 0; i < length; i++) {
            hash = 31 * hash + sequence[i] * 0x85EBCA6B;
        }
        int slot = spread(hash);
        for (int known = slots[slot]; known != 0; known = slots[slot]) {
            if (hashes[known - 1] == hash && same(known - 1, sequence, length)) {
                return known - 1;
            }
            slot = (slot + 1) & (slots.length - 1);
        }
        slots[slot] = size + 1;
        hashes[size] = hash;
        values.addElements(values.size(), sequence, 0, length);
        size++;
        starts[size] = values.size();
        if (size == hashes.length) {
            grow();
        }
        return size - 1;
    }

    private boolean same(int number, int[] sequence, int length) {
        int start = starts[number];
        return starts[number + 1] - start == length
                && Arrays.equals(values.elements(), start, start + length, sequence, 0, length);
    }

    private void grow() {
        hashes = Arrays.copyOf(hashes, size * 2);
        starts = Arrays.copyOf(starts, size * 2 + 1);
        slots = new int[slots.length * 2];
        for (int i = 0; i < size; i++) {
            int slot = spread(hashes[i]);
            while (slots[slot] != 0) {
                slot = (slot + 1) & (slots.length - 1);
            }
            slots[slot] = i + 1;
        }
    }

    private int spread(int hash) {
        int mixed = hash * 0x9E3779B9;
        return (mixed ^ mixed >>> 15) & (slots.length - 1);
    }

    /** How many distinct sequences there are. */
    public int size() {
        return size;
    }
}
