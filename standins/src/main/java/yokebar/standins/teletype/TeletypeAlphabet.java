package yokebar.standins.teletype;

/** ITU-T S.1, International Telegraph Alphabet No. 2, by code, with the figures usual on the amateur bands. */
final class TeletypeAlphabet {
    static final int TO_FIGURES = 27;
    static final int TO_LETTERS = 31;

    private static final char SHIFT_TO_FIGURES = '\016';
    private static final char SHIFT_TO_LETTERS = '\017';

    /** By code; what is printed as nothing is 0. */
    private static final char[] LETTERS = {
        0, 'E', '\n', 'A', ' ', 'S', 'I', 'U', 0, 'D', 'R', 'J', 'N', 'F', 'C', 'K', 'T', 'Z', 'L', 'W', 'H', 'Y', 'P',
        'Q', 'O', 'B', 'G', 0, 'M', 'X', 'V', 0
    };

    private static final char[] FIGURES = {
        0, '3', '\n', '-', ' ', '\'', '8', '7', 0, '$', '4', '\007', ',', '!', ':', '(', '5', '"', ')', '2', '#', '6',
        '0', '1', '9', '?', '&', 0, '.', '/', ';', 0
    };

    private TeletypeAlphabet() {}

    static int code(char character) {
        if (character == SHIFT_TO_FIGURES || character == SHIFT_TO_LETTERS) {
            return character == SHIFT_TO_FIGURES ? TO_FIGURES : TO_LETTERS;
        }
        for (int code = 1; code < LETTERS.length; code++) {
            if (LETTERS[code] == character || FIGURES[code] == character) {
                return code;
            }
        }
        throw new IllegalArgumentException("\"" + character + "\" is not in the alphabet");
    }

    /** How many codes a text takes behind a line end and letters, each change between letters and figures included. */
    static int codes(String text) {
        int codes = 2;
        boolean figures = false;
        for (char character : text.toCharArray()) {
            boolean isFigure = indexOf(FIGURES, character) > 0;
            if (!isFigure && indexOf(LETTERS, character) < 0) {
                continue;
            }
            // What stands in both is sent without a shift.
            boolean needsShift = indexOf(figures ? FIGURES : LETTERS, character) < 0;
            figures = needsShift ? !figures : figures;
            codes += needsShift ? 2 : 1;
        }
        return codes;
    }

    private static int indexOf(char[] codes, char character) {
        for (int code = 1; code < codes.length; code++) {
            if (codes[code] == character) {
                return code;
            }
        }
        return -1;
    }

    /** 0 for a code that prints nothing. */
    static char character(int code, boolean figures) {
        return figures ? FIGURES[code] : LETTERS[code];
    }
}
