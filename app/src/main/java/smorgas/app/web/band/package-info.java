/** The band: the drawn flow from lines to plan rows, to scale. */
@NullMarked
package smorgas.app.web.band;

import org.jspecify.annotations.NullMarked;
