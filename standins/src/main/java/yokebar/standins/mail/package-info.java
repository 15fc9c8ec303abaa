/** The radio mail gateway: a slow link that breaks off, and what comes over it. */
@NullMarked
package yokebar.standins.mail;

import org.jspecify.annotations.NullMarked;
