/** What is on the air, told by feeds and programs, ranked by what each position needs. */
@NullMarked
package yokebar.app.onair;

import org.jspecify.annotations.NullMarked;
