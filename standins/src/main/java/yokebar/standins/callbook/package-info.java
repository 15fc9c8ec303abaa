/** The callbook. */
@NullMarked
package yokebar.standins.callbook;

import org.jspecify.annotations.NullMarked;
