package yokebar.app.platform.rejection;

import java.util.List;
import java.util.stream.Collectors;

/**
 * Something that was asked for is not done. It says in a sentence what is wrong and what would be right, and which field is to
 * blame, so that the words can stand at the field. How it reaches the page is the business of {@code platform.web} alone.
 */
public class Rejection extends RuntimeException {
    private static final long serialVersionUID = 1L;

    private final Reason reason;
    private final transient List<Field> fields;

    /** Why it is not done, for whoever has to answer in another language than sentences. */
    public enum Reason {
        /** What was said cannot be. */
        INVALID,
        /** What it is about is not there, or not any more. */
        NOT_THERE,
        /** It was changed by somebody else meanwhile. */
        CHANGED_MEANWHILE,
        /** It cannot be done now, whatever is asked. */
        NOT_POSSIBLE_NOW
    }

    /**
     * @param field name of the field as the API knows it
     * @param sentence what is wrong and what would be right
     */
    public record Field(String field, String sentence) {}

    public Rejection(String field, String sentence) {
        this(List.of(new Field(field, sentence)));
    }

    public Rejection(List<Field> fields) {
        this(
                Reason.INVALID,
                fields.stream().map(Field::sentence).collect(Collectors.joining(" ")),
                List.copyOf(fields));
    }

    private Rejection(Reason reason, String sentence, List<Field> fields) {
        super(sentence);
        this.reason = reason;
        this.fields = fields;
    }

    /** What it is about is not there, or not any more. */
    public static Rejection notThere(String sentence) {
        return new Rejection(Reason.NOT_THERE, sentence, List.of());
    }

    /** It was changed by somebody else meanwhile. */
    public static Rejection changedMeanwhile(String sentence) {
        return new Rejection(Reason.CHANGED_MEANWHILE, sentence, List.of());
    }

    /** It cannot be done now, whatever is asked. */
    public static Rejection notPossibleNow(String sentence) {
        return new Rejection(Reason.NOT_POSSIBLE_NOW, sentence, List.of());
    }

    public Reason reason() {
        return reason;
    }

    /** The sentence, whole. */
    public String sentence() {
        return String.valueOf(getMessage());
    }

    /** The fields to blame; none when it is about no field. */
    public List<Field> fields() {
        return fields;
    }
}
