/**
 * The figures of the trade: what lists tell, what is computed, how figures are read and merged.
 */
@NullMarked
package smorgas.core.figure;

import org.jspecify.annotations.NullMarked;
