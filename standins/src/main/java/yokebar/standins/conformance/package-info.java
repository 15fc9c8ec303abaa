/** Whether a service keeps to its protocol, as {@code docs/protocols} tells it; for services of others as well as the stand-ins. */
@NullMarked
package yokebar.standins.conformance;

import org.jspecify.annotations.NullMarked;
