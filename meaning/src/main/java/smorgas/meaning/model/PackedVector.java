package smorgas.meaning.model;

/** A vector as bytes, one a place, to be stored: the product of two is off by less than a hundredth. */
public final class PackedVector {

    private static final int MOST = 127;

    private PackedVector() {}

    /** Packs a vector of length 1. */
    public static byte[] pack(float[] vector) {
        float largest = 1e-6f;
        for (float value : vector) {
            largest = Math.max(largest, Math.abs(value));
        }
        byte[] packed = new byte[vector.length];
        for (int i = 0; i < packed.length; i++) {
            packed[i] = (byte) Math.round(vector[i] / largest * MOST);
        }
        return packed;
    }

    /** The vector again, of length 1. */
    public static float[] unpack(byte[] packed) {
        float[] vector = new float[packed.length];
        double length = 0;
        for (byte value : packed) {
            length += value * value;
        }
        float by = (float) (1 / Math.sqrt(Math.max(1, length)));
        for (int i = 0; i < packed.length; i++) {
            vector[i] = packed[i] * by;
        }
        return vector;
    }
}
