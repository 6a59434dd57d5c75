/** What makes baskets of ours, out of words that somebody gives. */
@NullMarked
package smorgas.core.source;

import org.jspecify.annotations.NullMarked;
