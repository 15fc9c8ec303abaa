/** The live scoreboard of contests. */
@NullMarked
package yokebar.standins.tallyho;

import org.jspecify.annotations.NullMarked;
