/** The command line: the same core without server and database. */
@NullMarked
package smorgas.app.batch;

import org.jspecify.annotations.NullMarked;
