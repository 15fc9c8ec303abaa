/** The simulated world: a few hundred made-up stations and how signals travel between them. */
@NullMarked
package yokebar.standins.world;

import org.jspecify.annotations.NullMarked;
