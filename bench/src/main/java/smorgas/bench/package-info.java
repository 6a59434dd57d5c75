/** Measures: stages under JMH, and whole runs of the application beside general-purpose peers. Asserts nothing. */
@NullMarked
package smorgas.bench;

import org.jspecify.annotations.NullMarked;
