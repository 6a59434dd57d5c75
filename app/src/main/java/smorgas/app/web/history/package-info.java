/** Undo, redo, the history page, the exported recipe and the page of keys. */
@NullMarked
package smorgas.app.web.history;

import org.jspecify.annotations.NullMarked;
