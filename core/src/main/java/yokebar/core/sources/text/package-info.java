/** Text that decoders received: characters, and what several decoders of one signal agree on. */
@NullMarked
package yokebar.core.sources.text;

import org.jspecify.annotations.NullMarked;
