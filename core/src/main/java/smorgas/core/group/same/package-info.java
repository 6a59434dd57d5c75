/**
 * Which words mean the same: as shipped, as said in a project, as found in the keywords. Knows no engine.
 */
@NullMarked
package smorgas.core.group.same;

import org.jspecify.annotations.NullMarked;
