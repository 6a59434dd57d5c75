/**
 * What is read off a result and changes nothing: names, reasons, the tree of broader themes, figures, agreement. Front
 * door: {@link smorgas.core.group.read.Groups}.
 */
@NullMarked
package smorgas.core.group.read;

import org.jspecify.annotations.NullMarked;
