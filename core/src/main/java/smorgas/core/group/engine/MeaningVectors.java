package smorgas.core.group.engine;

import org.jspecify.annotations.Nullable;

/** What texts mean, as vectors of length 1: the nearer the product of two to 1, the more alike is what they mean. */
public interface MeaningVectors {

    /** Knows no text. */
    MeaningVectors NONE = text -> null;

    /** The vector of a tidy text; null if it is not known. All have the same length. */
    float @Nullable [] of(String text);
}
