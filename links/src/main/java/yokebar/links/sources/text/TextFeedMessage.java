package yokebar.links.sources.text;

import java.util.List;

/** A line of the text feed. */
public sealed interface TextFeedMessage {

    /**
     * Who speaks.
     *
     * @param program its name
     * @param decoders names of its decoders, which all receive one signal
     * @param sends whether it sends texts, too
     */
    record Program(String program, List<String> decoders, boolean sends) implements TextFeedMessage {}

    /**
     * A character one of them received.
     *
     * @param decoder its name within the program
     * @param atMs when the character ended, ms since 1970, UTC, by the program's clock
     * @param character in upper case, a blank, or {@code '\n'}
     * @param certainty how sure the decoder is, above 0 and at most 1; 0 when it does not tell
     */
    record Character(String decoder, long atMs, char character, double certainty) implements TextFeedMessage {}

    /** The last character of a text has been transmitted. */
    record Sent(long id) implements TextFeedMessage {}

    /**
     * A text is not sent, or not to its end.
     *
     * @param because in words; empty when the program does not tell
     */
    record Refused(long id, String because) implements TextFeedMessage {}

    /** Nothing is received; the program is there. */
    record Alive() implements TextFeedMessage {}
}
