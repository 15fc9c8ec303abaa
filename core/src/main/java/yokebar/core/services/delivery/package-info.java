/** The states of a contact at a service, the only legal ways from one to another, and the rules that hold a contact back. */
@NullMarked
package yokebar.core.services.delivery;

import org.jspecify.annotations.NullMarked;
