/** Where things are put in pictures, and pictures as files; what a picture says is said elsewhere. */
@NullMarked
package smorgas.core.draw;

import org.jspecify.annotations.NullMarked;
