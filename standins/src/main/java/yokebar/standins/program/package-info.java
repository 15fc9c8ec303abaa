/** The digital-mode program: works stations of the world and tells its log about it. */
@NullMarked
package yokebar.standins.program;

import org.jspecify.annotations.NullMarked;
