/** What is known of languages: a folder of data each, and the algorithms that its words are told apart by. Open to every stage. */
@NullMarked
package smorgas.core.language;

import org.jspecify.annotations.NullMarked;
