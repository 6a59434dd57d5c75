/**
 * What a hand decided of groups, by keyword.
 */
@NullMarked
package smorgas.core.group.hand;

import org.jspecify.annotations.NullMarked;
