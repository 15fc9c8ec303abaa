/** ADIF text over TCP: programs connect and write records. */
@NullMarked
package yokebar.links.sources.stream;

import org.jspecify.annotations.NullMarked;
