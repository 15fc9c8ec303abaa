/** Which entity a call belongs to, and its zones. */
@NullMarked
package yokebar.core.basics.entity;

import org.jspecify.annotations.NullMarked;
