/**
 * Group (the trade: cluster into ad groups): keywords that share words. Front door: {@link
 * smorgas.core.group.Grouper}, which takes rows of words, what hands and rules say, and settings. Engines find groups, {@code
 * hand} knows what was decided, {@code read} tells of a result.
 */
@NullMarked
package smorgas.core.group;

import org.jspecify.annotations.NullMarked;
