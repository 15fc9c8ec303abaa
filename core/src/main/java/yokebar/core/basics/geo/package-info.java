/** Places on the earth: Maidenhead locators. */
@NullMarked
package yokebar.core.basics.geo;

import org.jspecify.annotations.NullMarked;
