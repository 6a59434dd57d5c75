/** How figures and steps are written on every page. Knows no page. */
@NullMarked
package smorgas.app.web.show;

import org.jspecify.annotations.NullMarked;
