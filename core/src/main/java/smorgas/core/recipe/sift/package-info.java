/**
 * Conditions, rules and word lists: what decides on keywords.
 */
@NullMarked
package smorgas.core.recipe.sift;

import org.jspecify.annotations.NullMarked;
