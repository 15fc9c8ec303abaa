/** The stand-in of the adjudicator Fair Copy; its protocol is in {@code docs/protocols/fair-copy.md}. */
@NullMarked
package yokebar.standins.faircopy;

import org.jspecify.annotations.NullMarked;
