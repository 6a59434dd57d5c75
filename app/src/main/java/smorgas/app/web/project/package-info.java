/** The list of projects and the bin. */
@NullMarked
package smorgas.app.web.project;

import org.jspecify.annotations.NullMarked;
