/** Sets up an empty Yokebar for the demo, through its own API. */
@NullMarked
package yokebar.standins.demo;

import org.jspecify.annotations.NullMarked;
