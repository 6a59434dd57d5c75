/**
 * Serve (the trade: export): groups become an ad plan, and tables become CSV. Front door: {@link
 * smorgas.core.serve.Planner}.
 */
@NullMarked
package smorgas.core.serve;

import org.jspecify.annotations.NullMarked;
