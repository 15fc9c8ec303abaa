/** The contact as a value, how it is read from and written to ADIF, when two records are the same contact, and how they merge. */
@NullMarked
package yokebar.core.log.contact;

import org.jspecify.annotations.NullMarked;
