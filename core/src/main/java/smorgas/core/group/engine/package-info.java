/**
 * Finds groups: each engine answers a {@link smorgas.core.group.engine.Question} and knows nothing of hands, rules and
 * names. Front door: {@link smorgas.core.group.engine.Engine}.
 */
@NullMarked
package smorgas.core.group.engine;

import org.jspecify.annotations.NullMarked;
