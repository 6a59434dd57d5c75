/** Notes: what a researcher writes down beside keywords and groups. */
@NullMarked
package smorgas.app.web.note;

import org.jspecify.annotations.NullMarked;
