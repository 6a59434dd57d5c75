/** The pantry: word lists that projects share. */
@NullMarked
package smorgas.app.web.pantry;

import org.jspecify.annotations.NullMarked;
