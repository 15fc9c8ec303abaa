/** The slow-scan picture program "Slowlight". */
@NullMarked
package yokebar.standins.picture;

import org.jspecify.annotations.NullMarked;
