/** The adjudicator Fair Copy; its protocol is in {@code docs/protocols/fair-copy.md}. */
@NullMarked
package yokebar.links.services.faircopy;

import org.jspecify.annotations.NullMarked;
