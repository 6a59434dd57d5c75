/** The Serve page and its downloads. */
@NullMarked
package smorgas.app.web.serve;

import org.jspecify.annotations.NullMarked;
