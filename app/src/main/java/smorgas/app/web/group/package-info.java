/** The Group page. */
@NullMarked
package smorgas.app.web.group;

import org.jspecify.annotations.NullMarked;
