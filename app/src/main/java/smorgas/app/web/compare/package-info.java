/** The page that compares two sets of keywords. */
@NullMarked
package smorgas.app.web.compare;

import org.jspecify.annotations.NullMarked;
