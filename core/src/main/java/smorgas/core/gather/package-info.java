/**
 * Gather (the trade: merge, import): bytes become lines, with positioned problems. Front door: {@link
 * smorgas.core.gather.BasketReader}. Called by the board's owners, who keep the bytes and the lines.
 */
@NullMarked
package smorgas.core.gather;

import org.jspecify.annotations.NullMarked;
