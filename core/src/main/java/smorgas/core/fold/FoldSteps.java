package smorgas.core.fold;

import java.util.List;
import smorgas.core.recipe.fold.FoldKind;

/**
 * The way from lines down to keywords, a tread for each kind of folding: what each takes away in its turn, and what those
 * that are switched off would take away.
 *
 * @param lines lines in use
 * @param spellings their distinct tidy texts
 * @param cleaned spellings that cleaning set aside or made the same as another
 * @param treads one for each kind, in order
 * @param byHand how many more keywords there are for what hands took apart, less those they joined; may be negative
 */
public record FoldSteps(int lines, int spellings, int cleaned, List<Tread> treads, int byHand) {

    /**
     * One kind of folding.
     *
     * @param folds how many keywords fewer there are because of it, after the kinds before it; if it is off, how many
     *     fewer there would be if it were switched on beside those that are on
     * @param left keywords left after it
     * @param samples pairs of texts that it makes one, those searched most first
     */
    public record Tread(FoldKind kind, boolean on, int folds, int left, List<Sample> samples) {
        public Tread {
            samples = List.copyOf(samples);
        }
    }

    /** Two tidy texts. */
    public record Sample(String one, String other) {}

    public FoldSteps {
        treads = List.copyOf(treads);
    }
}
