/** A recorded hour of radioteletype in a contest, and decoders that receive it, each with errors of its own. */
@NullMarked
package yokebar.standins.teletype;

import org.jspecify.annotations.NullMarked;
