/** The certified confirmation service: its authority, its queue, its books. */
@NullMarked
package yokebar.standins.countersign;

import org.jspecify.annotations.NullMarked;
