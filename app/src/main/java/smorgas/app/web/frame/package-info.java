/** What every project page has around its work: head, band, message line. */
@NullMarked
package smorgas.app.web.frame;

import org.jspecify.annotations.NullMarked;
