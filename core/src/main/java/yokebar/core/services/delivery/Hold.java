package yokebar.core.services.delivery;

/**
 * Why a contact is held back from a service: the rule and what it says of this contact. It is stored so, and put into words
 * when it is read ({@link HoldSentence}); those that differ in the detail alone are held for one reason.
 *
 * @param subject what the rule is about, such as the field that is missing, the own call or the mode; empty when nothing
 * @param detail what differs from contact to contact, such as a time; empty when nothing
 */
public record Hold(Eligibility.Rule rule, String subject, String detail) {
    /** The longest subject, in characters; longer ones are cut. */
    public static final int MAX_SUBJECT = 60;
    /** The longest detail, in characters; longer ones are cut. */
    public static final int MAX_DETAIL = 200;

    private static final char SEPARATOR = ' ';

    public Hold {
        subject = cut(subject, MAX_SUBJECT);
        detail = cut(detail, MAX_DETAIL);
    }

    public static Hold by(Eligibility.Rule rule) {
        return new Hold(rule, "", "");
    }

    public Hold of(String newSubject) {
        return new Hold(rule, newSubject, detail);
    }

    public Hold saying(String newDetail) {
        return new Hold(rule, subject, newDetail);
    }

    /** Names the reason, without the detail: {@code FIELD_MISSING RST_SENT}. */
    public String key() {
        return subject.isEmpty() ? rule.name() : rule.name() + SEPARATOR + subject;
    }

    /**
     * Reads what {@link #key()} wrote.
     *
     * @throws IllegalArgumentException when it names no rule
     */
    public static Hold ofKey(String key) {
        int end = key.indexOf(SEPARATOR);
        return end < 0
                ? by(Eligibility.Rule.valueOf(key))
                : by(Eligibility.Rule.valueOf(key.substring(0, end))).of(key.substring(end + 1));
    }

    private static String cut(String text, int max) {
        return text.length() <= max ? text : text.substring(0, max - 1) + "…";
    }
}
