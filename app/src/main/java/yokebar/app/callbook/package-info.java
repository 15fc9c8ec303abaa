/** Who a call belongs to, by callbooks: one on the network with what it answered before, and one that lies here as a file. */
@NullMarked
package yokebar.app.callbook;

import org.jspecify.annotations.NullMarked;
