/** Nets: reading what is typed on the net sheet, whose turn it is, which station a part of a call may be, and the report. */
@NullMarked
package yokebar.core.operate.net;

import org.jspecify.annotations.NullMarked;
