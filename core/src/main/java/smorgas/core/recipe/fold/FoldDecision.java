package smorgas.core.recipe.fold;

import java.util.List;

/** A decision by hand about what is one keyword; later ones win. Texts are tidy. */
public sealed interface FoldDecision {

    List<String> texts();

    /** Each of these texts is a keyword of its own, whatever folding says. */
    record Apart(List<String> texts) implements FoldDecision {
        public Apart {
            texts = List.copyOf(texts);
        }
    }

    /** The keywords that these texts are in are one. */
    record Together(List<String> texts) implements FoldDecision {
        public Together {
            texts = List.copyOf(texts);
        }
    }
}
