package yokebar.app;

import java.util.List;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.web.ErrorResponseException;

/**
 * Something the person sent cannot be taken, and which field is to blame. It reaches the interface as an RFC 9457 problem
 * with the property {@code fields}, so that the words can stand at the field.
 */
public class FieldProblem extends ErrorResponseException {
    private static final long serialVersionUID = 1L;

    /**
     * @param field name of the field as the API knows it
     * @param sentence what is wrong and what would be right
     */
    public record Field(String field, String sentence) {}

    public FieldProblem(String field, String sentence) {
        this(List.of(new Field(field, sentence)));
    }

    public FieldProblem(List<Field> fields) {
        this(HttpStatus.UNPROCESSABLE_ENTITY, fields);
    }

    public FieldProblem(HttpStatus status, List<Field> fields) {
        super(status, body(status, fields), null);
    }

    private static ProblemDetail body(HttpStatus status, List<Field> fields) {
        String detail = String.join(" ", fields.stream().map(Field::sentence).toList());
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setProperty("fields", fields);
        return problem;
    }
}
