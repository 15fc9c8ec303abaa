/** The publisher of reference data. Its protocol is in {@code docs/protocols/reference.md}. */
@NullMarked
package yokebar.links.station.reference;

import org.jspecify.annotations.NullMarked;
