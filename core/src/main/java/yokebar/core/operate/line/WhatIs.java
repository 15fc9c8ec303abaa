package yokebar.core.operate.line;

/** What to write instead of a word of the contact line that could not be understood. */
final class WhatIs {
    private WhatIs() {}

    /** @param bothReports whether both reports stand in the line already */
    static String sentence(Word word, boolean bothReports) {
        String text = word.lower();
        if (WordShapes.LIKE_A_LOCATOR.matcher(text).matches()) {
            return "\"" + word.text() + "\" is not a locator: they begin with two letters from A to R.";
        }
        if (WordShapes.isIssuedCall(text)) {
            return "There are two calls; write one of them behind a ; as a comment.";
        }
        if (text.matches("\\d{2,3}") && !bothReports) {
            return "\"" + word.text() + "\" is not a report: those are from 11 to 59 or 599. Write power:" + word.text()
                    + " or another field:value.";
        }
        return "What is \"" + word.text() + "\"? Write it as field:value, or behind a ; as a comment.";
    }
}
