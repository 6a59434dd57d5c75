/**
 * What a researcher assumes of clicks and sales, and what keywords are for.
 */
@NullMarked
package smorgas.core.recipe.value;

import org.jspecify.annotations.NullMarked;
