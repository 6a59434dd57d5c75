/**
 * Projects in use: their boards in memory, and the one way in which an act becomes durable and then visible. Front door:
 * {@link smorgas.app.work.Table}.
 */
@NullMarked
package smorgas.app.work;

import org.jspecify.annotations.NullMarked;
