/** Digital-mode programs on the digital link: what they read and do, and what they are told. */
@NullMarked
package yokebar.app.digital;

import org.jspecify.annotations.NullMarked;
