/** The tray at the bottom of project pages. */
@NullMarked
package smorgas.app.web.tray;

import org.jspecify.annotations.NullMarked;
