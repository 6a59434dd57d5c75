/** The one way to the network there is: pages by their addresses, guarded, and off unless it is switched on. */
@NullMarked
package smorgas.app.fetch;

import org.jspecify.annotations.NullMarked;
