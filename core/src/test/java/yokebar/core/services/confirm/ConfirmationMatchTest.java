package yokebar.core.services.confirm;

import static org.assertj.core.api.Assertions.assertThat;
import static yokebar.core.log.contact.Contacts.contact;
import static yokebar.core.log.contact.Contacts.logged;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.Modes;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.log.contact.Source;

class ConfirmationMatchTest {
    private static final ConfirmationMatch.Terms EXACT = new ConfirmationMatch.Terms(Duration.ofMinutes(30), false);
    private static final ConfirmationMatch.Terms BY_GROUP = new ConfirmationMatch.Terms(Duration.ofMinutes(30), true);

    @ParameterizedTest(name = "{0} {1} {2} {3}: exact {4}, by group {5}")
    @CsvSource({
        "ZP5QXA, 20m, CW, 14:07, true, true",
        "ZP5QXA, 20m, CW, 14:37, true, true",
        "ZP5QXA, 20m, CW, 14:38, false, false",
        "ZP5QXB, 20m, CW, 14:07, false, false",
        "ZP5QXA, 40m, CW, 14:07, false, false",
        "ZP5QXA, 20m, SSB, 14:07, false, false",
    })
    void comparedWithACwContact(String call, String band, String mode, String time, boolean exact, boolean byGroup) {
        ConfirmedRecord confirmed = confirmed(call, band, mode, time);
        assertThat(ConfirmationMatch.matches(contact(), confirmed, EXACT)).isEqualTo(exact);
        assertThat(ConfirmationMatch.matches(contact(), confirmed, BY_GROUP)).isEqualTo(byGroup);
    }

    @Test
    void digitalModesAreOneGroup() {
        ConfirmedRecord confirmed = confirmed("ZP5QXA", "20m", "RTTY", "14:07");
        assertThat(ConfirmationMatch.matches(contact("MODE", "FT8"), confirmed, EXACT))
                .isFalse();
        assertThat(ConfirmationMatch.matches(contact("MODE", "FT8"), confirmed, BY_GROUP))
                .isTrue();
    }

    @Test
    void theNearestIsTaken() {
        List<LoggedContact> log =
                List.of(logged(1, Source.DATAGRAM, "TIME_ON", "1350"), logged(2, Source.DATAGRAM, "TIME_ON", "1410"));
        assertThat(ConfirmationMatch.find(confirmed("ZP5QXA", "20m", "CW", "14:07"), log, EXACT))
                .map(LoggedContact::id)
                .contains(2L);
    }

    private static ConfirmedRecord confirmed(String call, String band, String mode, String time) {
        Mode read = Modes.read(mode, null);
        return new ConfirmedRecord(
                new Call("CU9QYB"),
                new Call(call),
                Band.named(band),
                read,
                Instant.parse("2026-05-01T" + time + ":00Z"));
    }
}
