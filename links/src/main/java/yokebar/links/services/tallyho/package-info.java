/** The live scoreboard Tally Ho; its protocol is in {@code docs/protocols/tally-ho.md}. */
@NullMarked
package yokebar.links.services.tallyho;

import org.jspecify.annotations.NullMarked;
