/** Data about the world that has editions: entities. */
@NullMarked
package yokebar.app.reference;

import org.jspecify.annotations.NullMarked;
