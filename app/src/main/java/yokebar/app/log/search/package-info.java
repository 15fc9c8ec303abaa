/** Searching, counting, paging and exporting the log, with the index beside it. */
@NullMarked
@NamedInterface("search")
package yokebar.app.log.search;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.NamedInterface;
