/** The Fold page. */
@NullMarked
package smorgas.app.web.fold;

import org.jspecify.annotations.NullMarked;
