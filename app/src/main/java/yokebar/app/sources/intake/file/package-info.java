/** Files of other programs that are followed, and logs found on this computer. */
@NullMarked
package yokebar.app.sources.intake.file;

import org.jspecify.annotations.NullMarked;
