/**
 * Where a basket comes from and how it is read.
 */
@NullMarked
package smorgas.core.recipe.gather;

import org.jspecify.annotations.NullMarked;
