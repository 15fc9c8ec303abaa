package yokebar.links.sources.text;

import java.util.List;

/** A line of the text feed. */
public sealed interface TextFeedMessage {

    /**
     * Who speaks.
     *
     * @param program its name
     * @param decoders names of its decoders, which all receive one signal
     */
    record Program(String program, List<String> decoders) implements TextFeedMessage {}

    /**
     * A character one of them received.
     *
     * @param decoder its name within the program
     * @param atMs when the character ended, ms since 1970, UTC, by the program's clock
     * @param character in upper case, a blank, or {@code '\n'}
     * @param certainty how sure the decoder is, above 0 and at most 1; 0 when it does not tell
     */
    record Character(String decoder, long atMs, char character, double certainty) implements TextFeedMessage {}

    /** Nothing is received; the program is there. */
    record Alive() implements TextFeedMessage {}
}
