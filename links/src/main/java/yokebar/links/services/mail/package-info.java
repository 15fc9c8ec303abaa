/** Radio mail: letters in parts over a slow link that may break off at any time. */
@NullMarked
package yokebar.links.services.mail;

import org.jspecify.annotations.NullMarked;
