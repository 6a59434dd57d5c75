/**
 * Primitive columns and the text dictionary. Open to every stage; knows none of them.
 */
@NullMarked
package smorgas.core.column;

import org.jspecify.annotations.NullMarked;
