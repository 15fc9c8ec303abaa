/** Every coupling to the outside: its state, its test, its switch. */
@NullMarked
package yokebar.app.hookup;

import org.jspecify.annotations.NullMarked;
