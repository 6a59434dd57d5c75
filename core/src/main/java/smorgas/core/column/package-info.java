/**
 * Primitive columns, the text dictionary and the figures of the trade. Open to every stage; knows none of them.
 */
@NullMarked
package smorgas.core.column;

import org.jspecify.annotations.NullMarked;
