package smorgas.core.group.similarity;

import java.util.Arrays;

/** A vector of which few places are not 0: the places rising, and what stands there. Cannot change. */
record Sparse(int[] places, float[] values) {

    static final Sparse NOTHING = new Sparse(new int[0], new float[0]);

    /** What stands in a place. */
    double at(int place) {
        int found = Arrays.binarySearch(places, place);
        return found < 0 ? 0 : values[found];
    }

    double dot(Sparse other) {
        double sum = 0;
        int i = 0;
        int j = 0;
        while (i < places.length && j < other.places.length) {
            int one = places[i];
            int two = other.places[j];
            if (one == two) {
                sum += values[i++] * other.values[j++];
            } else if (one < two) {
                i++;
            } else {
                j++;
            }
        }
        return sum;
    }

    /** The same with a vector of which every place stands in an array. */
    double dot(float[] laid) {
        double sum = 0;
        for (int i = 0; i < places.length; i++) {
            sum += values[i] * laid[places[i]];
        }
        return sum;
    }

    /** Writes what stands in each place into an array. */
    void lay(float[] into) {
        for (int i = 0; i < places.length; i++) {
            into[places[i]] = values[i];
        }
    }

    /** Takes it away again. */
    void clear(float[] from) {
        for (int place : places) {
            from[place] = 0;
        }
    }

    Sparse plus(Sparse other) {
        int[] at = new int[places.length + other.places.length];
        float[] sum = new float[at.length];
        int size = 0;
        int i = 0;
        int j = 0;
        while (i < places.length || j < other.places.length) {
            int one = i < places.length ? places[i] : Integer.MAX_VALUE;
            int two = j < other.places.length ? other.places[j] : Integer.MAX_VALUE;
            at[size] = Math.min(one, two);
            sum[size] = (one <= two ? values[i] : 0) + (two <= one ? other.values[j] : 0);
            size++;
            i += one <= two ? 1 : 0;
            j += two <= one ? 1 : 0;
        }
        return size == at.length ? new Sparse(at, sum) : new Sparse(Arrays.copyOf(at, size), Arrays.copyOf(sum, size));
    }
}
