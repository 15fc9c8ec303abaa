package yokebar.app.sources.text;

import java.util.List;

/**
 * The latest of what was received.
 *
 * @param agreed what the decoders agree on, in pieces
 * @param decoders what each decoder printed
 */
record ReceivedTextView(List<AgreedPiece> agreed, List<DecoderText> decoders) {

    /**
     * Characters in a row that are all doubtful, or none of them.
     *
     * @param text with {@code \n} at the ends of lines
     * @param doubtful whether little speaks for it
     */
    record AgreedPiece(String text, boolean doubtful) {}

    /**
     * What one decoder printed.
     *
     * @param name of the program and the decoder
     * @param text with {@code \n} at the ends of lines
     */
    record DecoderText(String name, String text) {}
}
