package yokebar.core.log.contact;

/**
 * Why a record cannot be taken, or something about it the operator should know.
 *
 * @param field the ADIF field it is about
 * @param value what stood there, shortened when long
 * @param sentence one sentence: what is wrong and what would be right
 */
public record Problem(String field, String value, String sentence) {
    private static final int LONGEST_SHOWN = 60;

    static Problem of(String field, String value, String what) {
        String shown = value.length() <= LONGEST_SHOWN ? value : value.substring(0, LONGEST_SHOWN) + "…";
        return new Problem(field, shown, field + " \"" + shown + "\" " + what);
    }

    static Problem missing(String field, String what) {
        return new Problem(field, "", field + " is missing: " + what);
    }
}
