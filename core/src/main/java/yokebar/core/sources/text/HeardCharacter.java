package yokebar.core.sources.text;

/**
 * A character as one decoder received it.
 *
 * @param decoder name of the decoder
 * @param atMs when it ended, ms since 1970, UTC, by the decoder's clock
 * @param character in upper case, a blank, or {@code '\n'} for the end of a line
 * @param certainty how sure the decoder is, above 0 and at most 1
 */
public record HeardCharacter(String decoder, long atMs, char character, double certainty) {
    /** What is taken for the certainty of a decoder that does not tell it. */
    public static final double UNTOLD = 0.8;
}
