/** Rotators: the dialect they speak, and the link that keeps one connected. */
@NullMarked
package yokebar.links.sources.rotor;

import org.jspecify.annotations.NullMarked;
