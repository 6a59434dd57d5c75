/**
 * The decisions of a project as values: entries in order, undone and redone by a mark. Knows no stage. Front doors:
 * {@link smorgas.core.recipe.History} and {@link smorgas.core.recipe.Recipe}.
 */
@NullMarked
package smorgas.core.recipe;

import org.jspecify.annotations.NullMarked;
