/** Find: the field in the head, while one types. */
@NullMarked
package smorgas.app.web.find;

import org.jspecify.annotations.NullMarked;
