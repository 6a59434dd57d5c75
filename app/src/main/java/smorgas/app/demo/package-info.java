/** The demo: an invented mail-order shop for beekeepers. All names and figures are made up. */
@NullMarked
package smorgas.app.demo;

import org.jspecify.annotations.NullMarked;
