/** Requests to services on the web, with what may go wrong in words. */
@NullMarked
package yokebar.links.platform.web;

import org.jspecify.annotations.NullMarked;
