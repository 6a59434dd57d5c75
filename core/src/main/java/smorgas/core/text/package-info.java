/**
 * What a text is to us: its tidy form, its words (Unicode Standard Annex #29), and the words that say little. Open to
 * every stage.
 */
@NullMarked
package smorgas.core.text;

import org.jspecify.annotations.NullMarked;
