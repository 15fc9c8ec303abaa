package yokebar.core.contact;

import static org.assertj.core.api.Assertions.assertThat;
import static yokebar.core.contact.Contacts.contact;
import static yokebar.core.contact.Contacts.logged;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SameContactTest {

    @ParameterizedTest(name = "{0}={1} same: {2}")
    @CsvSource({
        "TIME_ON, 140700, true",
        "TIME_ON, 141000, true",
        "TIME_ON, 140400, true",
        "TIME_ON, 141001, false",
        "TIME_ON, 1410, true",
        "TIME_ON, 1411, false",
        "CALL, ZP5QXB, false",
        "CALL, ZP5QXA/P, false",
        "STATION_CALLSIGN, CU9QLZ, false",
        "BAND, 40m, false",
        "MODE, USB, false",
        "NAME, Ana, true",
    })
    void comparedWithTheFirstRecord(String field, String value, boolean same) {
        assertThat(SameContact.same(contact(), Source.PROGRAM, contact(field, value), Source.PROGRAM))
                .isEqualTo(same);
    }

    @ParameterizedTest(name = "{0} against {1}, reports {2}: {3}")
    @CsvSource({
        "1425, PROGRAM, 599, true",
        "1425, PROGRAM, 579, false",
        "142500, PROGRAM, 599, false",
        "142500, OPERATOR, 599, true",
        "143700, OPERATOR, 599, true",
        "143701, OPERATOR, 599, false",
    })
    void aVagueTimeNeedsAgreeingReports(String time, Source source, String report, boolean same) {
        Contact first = contact("RST_SENT", "599", "RST_RCVD", "599");
        Contact second = contact("RST_SENT", "599", "RST_RCVD", report, "TIME_ON", time);
        assertThat(SameContact.same(first, Source.PROGRAM, second, source)).isEqualTo(same);
        assertThat(SameContact.same(second, source, first, Source.PROGRAM)).isEqualTo(same);
    }

    @Test
    void noReportsDoNotAgree() {
        assertThat(SameContact.same(contact(), Source.PROGRAM, contact("TIME_ON", "1425"), Source.PROGRAM))
                .isFalse();
    }

    @Test
    void generalAndFineModeAreOne() {
        assertThat(SameContact.same(contact("MODE", "SSB"), Source.PROGRAM, contact("MODE", "USB"), Source.PROGRAM))
                .isTrue();
    }

    @Test
    void theNearestInTimeIsTaken() {
        List<LoggedContact> log = List.of(
                logged(1, Source.PROGRAM, "TIME_ON", "140500"),
                logged(2, Source.PROGRAM, "TIME_ON", "140800"),
                logged(3, Source.PROGRAM, "CALL", "ZP5QXC"));
        assertThat(SameContact.find(contact(), Source.PROGRAM, log))
                .map(LoggedContact::id)
                .contains(2L);
        assertThat(SameContact.find(contact("TIME_ON", "150000"), Source.PROGRAM, log))
                .isEmpty();
    }
}
