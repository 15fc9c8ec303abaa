/** Logs as they are exchanged: which format a file has, whatever it is packed in. */
@NullMarked
package yokebar.core.log.exchange;

import org.jspecify.annotations.NullMarked;
