/** A campaign that runs beside the project's groups: what becomes of its ad groups, the change as files, and what came of it. */
@NullMarked
package smorgas.app.web.again;

import org.jspecify.annotations.NullMarked;
