/** The tables of contacts, and how ADIF fields stand in their columns. */
@NullMarked
@NamedInterface("store")
package yokebar.app.log.store;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.NamedInterface;
