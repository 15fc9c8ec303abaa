package yokebar.core.basics.call;

/**
 * The prefix of a call as prefix awards count it: letters and digits up to and including the last digit of what says where the
 * station is. A prefix without a digit gets a zero behind its first two letters.
 *
 * @param text such as {@code CU9}; {@code OZ0} for {@code OZ/CU9QYB}
 */
public record Prefix(String text) {
    private static final int LETTERS_WITHOUT_DIGIT = 2;

    public static Prefix of(Call call) {
        String place = CallParts.of(call).place();
        int lastDigit = -1;
        for (int i = 0; i < place.length(); i++) {
            if (Character.isDigit(place.charAt(i)) && (i > 0 || place.length() == 1)) {
                lastDigit = i;
            }
        }
        // A digit that begins a series, as in 9A or 4X, is part of its letters, not the call area.
        return new Prefix(
                lastDigit > 0
                        ? place.substring(0, lastDigit + 1)
                        : place.substring(0, Math.min(LETTERS_WITHOUT_DIGIT, place.length())) + "0");
    }

    @Override
    public String toString() {
        return text;
    }
}
