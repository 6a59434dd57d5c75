/**
 * Groups of keywords with the same words: candidates for themes, and which of them each keyword takes. Front door:
 * {@link smorgas.core.group.themes.ThemeEngine}.
 */
@NullMarked
package smorgas.core.group.themes;

import org.jspecify.annotations.NullMarked;
