/** Simulated devices, programs and services that speak real protocols; each implements its side by itself. */
@NullMarked
package yokebar.standins;

import org.jspecify.annotations.NullMarked;
