package yokebar.app.services.delivery;

/** What services say, as long as there is room for it. */
public final class Texts {
    private static final int LONGEST = 600;

    private Texts() {}

    public static String shortened(String text) {
        return text.length() <= LONGEST ? text : text.substring(0, LONGEST - 1) + "…";
    }
}
