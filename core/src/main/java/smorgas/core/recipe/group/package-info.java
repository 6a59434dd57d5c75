/**
 * Settings of groups: the method, the rules of a group, words that mean the same.
 */
@NullMarked
package smorgas.core.recipe.group;

import org.jspecify.annotations.NullMarked;
