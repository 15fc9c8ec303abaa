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
        assertThat(SameContact.same(contact(), contact(field, value))).isEqualTo(same);
    }

    @ParameterizedTest(name = "{0}, reports {1}: {2}")
    @CsvSource({
        "1425, 599, true",
        "1425, 579, false",
        "142500, 599, false",
        "1437, 599, true",
        "1438, 599, false",
    })
    void aVagueTimeNeedsAgreeingReports(String time, String report, boolean same) {
        Contact first = contact("RST_SENT", "599", "RST_RCVD", "599");
        Contact second = contact("RST_SENT", "599", "RST_RCVD", report, "TIME_ON", time);
        assertThat(SameContact.same(first, second)).isEqualTo(same);
        assertThat(SameContact.same(second, first)).isEqualTo(same);
    }

    @Test
    void noReportsDoNotAgree() {
        assertThat(SameContact.same(contact(), contact("TIME_ON", "1425"))).isFalse();
    }

    @Test
    void generalAndFineModeAreOne() {
        assertThat(SameContact.same(contact("MODE", "SSB"), contact("MODE", "USB")))
                .isTrue();
    }

    @Test
    void theNearestInTimeIsTaken() {
        List<LoggedContact> log = List.of(
                logged(1, Source.DATAGRAM, "TIME_ON", "140500"),
                logged(2, Source.DATAGRAM, "TIME_ON", "140800"),
                logged(3, Source.DATAGRAM, "CALL", "ZP5QXC"));
        assertThat(SameContact.find(contact(), log)).map(LoggedContact::id).contains(2L);
        assertThat(SameContact.find(contact("TIME_ON", "150000"), log)).isEmpty();
    }
}
