package yokebar.core.sources.text;

/**
 * A character that the decoders agreed on.
 *
 * @param atMs when it ended, ms since 1970, UTC
 * @param doubtful whether little spoke for it
 */
public record AgreedCharacter(long atMs, char character, boolean doubtful) {}
