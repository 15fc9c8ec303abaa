/** The text feed: what decoders of radioteletype received, character by character. See {@code docs/protocols/text-feed.md}. */
@NullMarked
package yokebar.links.sources.text;

import org.jspecify.annotations.NullMarked;
