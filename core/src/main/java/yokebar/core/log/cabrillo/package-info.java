/** Cabrillo 3.0, the text in which contest logs are handed in. */
@NullMarked
package yokebar.core.log.cabrillo;

import org.jspecify.annotations.NullMarked;
