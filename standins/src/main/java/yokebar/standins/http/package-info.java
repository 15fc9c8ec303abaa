/** A small HTTP server for the services. */
@NullMarked
package yokebar.standins.http;

import org.jspecify.annotations.NullMarked;
