/**
 * Settings of Fold.
 */
@NullMarked
package smorgas.core.recipe.fold;

import org.jspecify.annotations.NullMarked;
