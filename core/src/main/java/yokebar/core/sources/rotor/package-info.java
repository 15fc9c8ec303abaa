/** Turning an antenna: which way round, how far, and when it will be there. */
@NullMarked
package yokebar.core.sources.rotor;

import org.jspecify.annotations.NullMarked;
