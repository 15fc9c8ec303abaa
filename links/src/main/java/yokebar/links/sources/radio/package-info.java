/** Radios: the dialects they speak, and the link that keeps one connected. */
@NullMarked
package yokebar.links.sources.radio;

import org.jspecify.annotations.NullMarked;
