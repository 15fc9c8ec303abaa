/** Pictures sent over the air: which contact a received one belongs to, and drawing the picture that answers it. */
@NullMarked
package yokebar.core.operate.picture;

import org.jspecify.annotations.NullMarked;
