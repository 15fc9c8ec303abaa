/** The control page of the stand-ins. */
@NullMarked
package yokebar.standins.backstage;

import org.jspecify.annotations.NullMarked;
