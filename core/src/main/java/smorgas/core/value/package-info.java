/** What keywords are for and may bring; nothing here changes a status or a group. */
@NullMarked
package smorgas.core.value;

import org.jspecify.annotations.NullMarked;
