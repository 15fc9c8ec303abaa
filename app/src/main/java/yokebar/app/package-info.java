/** The Yokebar application; one package a feature. */
@NullMarked
package yokebar.app;

import org.jspecify.annotations.NullMarked;
