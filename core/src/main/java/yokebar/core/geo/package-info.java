/** Places on the earth: Maidenhead locators. */
@NullMarked
package yokebar.core.geo;

import org.jspecify.annotations.NullMarked;
