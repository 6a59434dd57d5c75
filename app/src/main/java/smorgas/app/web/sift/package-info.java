/** The Sift page: words, keywords, rules. */
@NullMarked
package smorgas.app.web.sift;

import org.jspecify.annotations.NullMarked;
