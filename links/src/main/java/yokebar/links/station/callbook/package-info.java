/** The callbook: who a call belongs to, asked over the network. Its protocol is in {@code docs/protocols/callbook.md}. */
@NullMarked
package yokebar.links.station.callbook;

import org.jspecify.annotations.NullMarked;
