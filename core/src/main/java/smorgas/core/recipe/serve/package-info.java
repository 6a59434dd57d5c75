/**
 * Settings of the plan.
 */
@NullMarked
package smorgas.core.recipe.serve;

import org.jspecify.annotations.NullMarked;
