/** All wiring: how the application starts, where its data lies, who may reach it, and the clock. */
@NullMarked
package smorgas.app.config;

import org.jspecify.annotations.NullMarked;
