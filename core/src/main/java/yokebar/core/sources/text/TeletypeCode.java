package yokebar.core.sources.text;

/**
 * The five-unit code of radioteletype. Each code stands for a letter and for a figure; which of them is meant was said by the
 * last shift that was received, so that a lost shift turns {@code 599} into {@code TOO} until the next one. Source: ITU-T
 * Recommendation S.1, International Telegraph Alphabet No. 2, with the punctuation usual on the amateur bands.
 */
final class TeletypeCode {
    private static final String LETTERS = "QWERTYUIOPASDFGHJKLZXCVBNM";
    private static final String FIGURES = "1234567890-'$!&#\007()\"/:;?,.";

    private TeletypeCode() {}

    /** What tells the code from others: the letter of it; what is the same in both shifts stands for itself. */
    static char letter(char character) {
        int at = FIGURES.indexOf(character);
        return at < 0 ? character : LETTERS.charAt(at);
    }

    /** Whether it is the figure of its code. */
    static boolean isFigure(char character) {
        return FIGURES.indexOf(character) >= 0;
    }
}
