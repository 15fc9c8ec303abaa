/** All settings in one file, for keeping and for moving house. */
@NullMarked
package yokebar.app.settings;

import org.jspecify.annotations.NullMarked;
