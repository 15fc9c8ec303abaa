/** The station's radios: connected, shown, told what to do, and read for the log. */
@NullMarked
package yokebar.app.radio;

import org.jspecify.annotations.NullMarked;
