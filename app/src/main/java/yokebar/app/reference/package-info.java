/** Reference data that is older than what its publisher has: entities. */
@NullMarked
package yokebar.app.reference;

import org.jspecify.annotations.NullMarked;
