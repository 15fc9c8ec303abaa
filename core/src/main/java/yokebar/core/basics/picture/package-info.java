/** Pictures: which kinds there are, reading them within bounds, and making them smaller. */
@NullMarked
package yokebar.core.basics.picture;

import org.jspecify.annotations.NullMarked;
