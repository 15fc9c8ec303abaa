package yokebar.core.log.adif;

/** What an ADI tag looks like: {@code <CALL:6>}, {@code <QSO_DATE:8:D>}, {@code <EOR>}. */
final class TagShape {
    /** A longer one is none, in bytes. */
    static final int MAX_BYTES = OddName.MAX_BYTES + 20;

    private TagShape() {}

    /**
     * Whether a whole tag stands at a place, where there is a {@code <}: the end of a record, or a name with a length.
     *
     * @param limit where the text ends in the buffer
     */
    static boolean startsAt(byte[] buffer, int at, int limit) {
        int end = Math.min(limit, at + MAX_BYTES);
        boolean colon = false;
        boolean digit = false;
        int i = at + 1;
        for (; i < end && buffer[i] != '>'; i++) {
            byte b = buffer[i];
            if (b <= ' ' || b == '<') {
                return false;
            }
            digit |= colon && b >= '0' && b <= '9';
            colon |= b == ':';
        }
        if (i >= end) {
            return false;
        }
        boolean endOfRecord = i - at == 4
                && (buffer[at + 1] | 32) == 'e'
                && (buffer[at + 2] | 32) == 'o'
                && (buffer[at + 3] | 32) == 'r';
        return endOfRecord || colon && digit;
    }

    static boolean isBlank(byte b) {
        return b >= 0 && b <= ' ';
    }
}
