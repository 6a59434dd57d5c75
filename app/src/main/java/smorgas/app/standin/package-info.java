/**
 * Small simulated services in place of those outside, for the demo and for trying things: off unless {@code smorgas.standins} says
 * otherwise. Real ones are further beans of the same interfaces.
 */
@NullMarked
package smorgas.app.standin;

import org.jspecify.annotations.NullMarked;
