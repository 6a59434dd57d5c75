/**
 * Group (the trade: cluster into ad groups): keywords that share words. Front door: {@link
 * smorgas.core.group.Grouper}, which takes rows of words and settings and nothing else.
 */
@NullMarked
package smorgas.core.group;

import org.jspecify.annotations.NullMarked;
