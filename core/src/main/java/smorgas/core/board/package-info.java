/**
 * The front door of the core: baskets and a recipe in, the board out, stages in order and memoized. The only package
 * that knows all stages.
 */
@NullMarked
package smorgas.core.board;

import org.jspecify.annotations.NullMarked;
