/**
 * Fold (the trade: deduplicate): lines become keywords. Front door: {@link smorgas.core.fold.Folder}. Called by the
 * board only; its result is read by every later stage.
 */
@NullMarked
package smorgas.core.fold;

import org.jspecify.annotations.NullMarked;
