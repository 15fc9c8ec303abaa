/** Paper cards: which contacts want one, labels and cards to print, sent and received by hand or scanner. */
@NullMarked
package yokebar.app.card;

import org.jspecify.annotations.NullMarked;
