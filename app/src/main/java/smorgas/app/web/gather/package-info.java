/** The Gather page. */
@NullMarked
package smorgas.app.web.gather;

import org.jspecify.annotations.NullMarked;
