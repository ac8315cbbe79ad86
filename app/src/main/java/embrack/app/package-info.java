/** The web application: one package a screen area, each with its controller and what its pages show. */
@NullMarked
package embrack.app;

import org.jspecify.annotations.NullMarked;
