package yokebar.app.delivery;

/** What services say, as long as there is room for it. */
final class Texts {
    private static final int LONGEST = 600;

    private Texts() {}

    static String shortened(String text) {
        return text.length() <= LONGEST ? text : text.substring(0, LONGEST - 1) + "…";
    }
}
