/**
 * Sift (the trade: filter): keywords get a status and a reason. Front doors: {@link smorgas.core.sift.Judge} and
 * {@link smorgas.core.sift.Matcher}.
 */
@NullMarked
package smorgas.core.sift;

import org.jspecify.annotations.NullMarked;
