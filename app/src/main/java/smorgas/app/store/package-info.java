/**
 * What outlasts the process: projects, baskets with their bytes and lines, and each project's history, in H2 through
 * jOOQ. Knows the core's values and no page. Nothing is answered before it is durable.
 */
@NullMarked
package smorgas.app.store;

import org.jspecify.annotations.NullMarked;
