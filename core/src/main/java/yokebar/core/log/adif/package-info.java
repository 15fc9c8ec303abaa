/** Amateur Data Interchange Format (ADIF 3.1.x): reading tolerantly, writing strictly. */
@NullMarked
package yokebar.core.log.adif;

import org.jspecify.annotations.NullMarked;
