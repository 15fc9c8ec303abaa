package yokebar.core.services.confirm;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.core.log.adif.AdifFields;

class ConfirmationMarksTest {

    @ParameterizedTest(name = "{0}={1}: {2} {3}")
    @CsvSource({
        "QSL_RCVD, Y, paper card, CONFIRMED",
        "QSL_RCVD, V, paper card, CONFIRMED",
        "QSL_SENT, Y, paper card, GIVEN",
        "QUAYSIDE_QSL_RCVD, y, quayside, CONFIRMED",
        "QUAYSIDE_QSL_SENT, Y, quayside, GIVEN",
        "QUAYSIDE_QSO_UPLOAD_STATUS, Y, quayside, GIVEN",
        "OLD_DESK_QSL_RCVD, Y, old_desk, CONFIRMED",
    })
    void aMarkIsKnownByItsPattern(String field, String value, String origin, ConfirmationMarks.Kind kind) {
        assertThat(ConfirmationMarks.of(AdifFields.of(field, value)))
                .containsExactly(new ConfirmationMarks.Mark(origin, kind, field, null));
    }

    @ParameterizedTest(name = "{0}={1}")
    @CsvSource({"QSL_RCVD, N", "QSL_RCVD, R", "QUAYSIDE_QSL_SENT, Q", "MYQSL_RCVD, Y", "QSL_RCVD_VIA, B", "NAME, Y"})
    void whatIsNoYesIsNoMark(String field, String value) {
        assertThat(ConfirmationMarks.of(AdifFields.of(field, value))).isEmpty();
    }

    @Test
    void confirmedSaysMoreThanGivenAndHasItsDay() {
        AdifFields fields = AdifFields.of(
                "QUAYSIDE_QSL_SENT", "Y", "QUAYSIDE_QSL_RCVD", "Y", "QUAYSIDE_QSLRDATE", "20240501", "QSL_RCVD", "Y");
        assertThat(ConfirmationMarks.of(fields))
                .contains(new ConfirmationMarks.Mark(
                        "quayside", ConfirmationMarks.Kind.CONFIRMED, "QUAYSIDE_QSL_RCVD", LocalDate.of(2024, 5, 1)));
        assertThat(ConfirmationMarks.confirmedBy(fields)).isEqualTo("paper card,quayside");
        assertThat(ConfirmationMarks.confirmedBy(AdifFields.of("QSL_SENT", "Y")))
                .isNull();
    }
}
