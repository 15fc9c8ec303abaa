package yokebar.core.services.confirm;

import static org.assertj.core.api.Assertions.assertThat;
import static yokebar.core.log.contact.Contacts.logged;
import static yokebar.core.log.contact.Contacts.readable;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.mode.Modes;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.ContactEdit;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.log.contact.Source;

class NearMissTest {
    private static final ConfirmationMatch.Terms TERMS = new ConfirmationMatch.Terms(Duration.ofMinutes(30), false);
    private static final LoggedContact OURS = logged(7, Source.OPERATOR);

    @ParameterizedTest(name = "{0} {1} {2} {3} as {4}: {5}")
    @CsvSource({
        "ZP5QXB, 20m, CW,   2026-05-01T14:07, CU9QYB, CALL",
        "ZP5QX,  20m, CW,   2026-05-01T14:07, CU9QYB, CALL",
        "ZP5QAX, 20m, CW,   2026-05-01T14:07, CU9QYB, CALL",
        "ZP5QBC, 20m, CW,   2026-05-01T14:07, CU9QYB, ",
        "ZP5QXA, 15m, CW,   2026-05-01T14:07, CU9QYB, BAND",
        "ZP5QXA, 40m, CW,   2026-05-01T14:07, CU9QYB, BAND",
        "ZP5QXA, 6m,  CW,   2026-05-01T14:07, CU9QYB, ",
        "ZP5QXA, 20m, SSB,  2026-05-01T14:07, CU9QYB, MODE_GROUP",
        "ZP5QXA, 20m, CW,   2026-05-01T15:12, CU9QYB, HOURS",
        "ZP5QXA, 20m, CW,   2026-05-01T17:07, CU9QYB, HOURS",
        "ZP5QXA, 20m, CW,   2026-05-01T14:50, CU9QYB, TIME",
        "ZP5QXA, 20m, CW,   2026-05-01T15:45, CU9QYB, TIME",
        "ZP5QXA, 20m, CW,   2026-05-01T20:45, CU9QYB, ",
        "ZP5QXA, 20m, CW,   2026-05-02T14:07, CU9QYB, DAY",
        "ZP5QXA, 20m, CW,   2026-05-03T14:07, CU9QYB, ",
        "ZP5QXA, 20m, CW,   2026-04-01T14:07, CU9QYB, MONTH",
        "ZP5QXA, 20m, CW,   2025-05-01T14:07, CU9QYB, YEAR",
        "ZP5QXA, 20m, CW,   2026-05-10T14:07, CU9QYB, DIGITS",
        "ZP5QXA, 20m, CW,   2026-05-01T14:17, CU9QYB, ",
        "ZP5QXA, 20m, CW,   2025-04-01T14:07, CU9QYB, ",
        "ZP5QXA/P, 20m, CW, 2026-05-01T14:07, CU9QYB, PORTABLE",
        "OZ/ZP5QXA, 20m, CW, 2026-05-01T14:07, CU9QYB, PORTABLE",
        "ZP5QXA/P, 20m, CW, 2026-04-01T14:07, CU9QYB, MONTH PORTABLE",
        "ZP5QXA, 20m, CW,   2026-05-01T14:07, CU9QLZ, OWN_CALL",
        "ZP5QXA, 15m, CW,   2026-05-01T15:07, CU9QYB, BAND HOURS",
        "ZP5QXB, 15m, CW,   2026-05-01T14:07, CU9QYB, ",
        "ZP5QXA, 20m, CW,   2026-05-01T14:07, CU9QYB, ",
    })
    void whatIsOneSlipAway(String call, String band, String mode, String start, String ownCall, String expected) {
        List<NearMiss> found = NearMiss.of(confirmed(call, band, mode, start, ownCall), List.of(OURS), TERMS);
        assertThat(
                        found.isEmpty()
                                ? null
                                : String.join(
                                        " ",
                                        found.get(0).differences().stream()
                                                .map(Enum::name)
                                                .toList()))
                .isEqualTo(expected);
    }

    @Test
    void digitsOfTheTimeMayChangePlaces() {
        LoggedContact ours = logged(7, Source.OPERATOR, "TIME_ON", "023400");
        assertThat(NearMiss.of(confirmed("ZP5QXA", "20m", "CW", "2026-05-01T20:34", "CU9QYB"), List.of(ours), TERMS))
                .singleElement()
                .satisfies(miss -> assertThat(miss.differences()).containsExactly(NearMiss.Difference.DIGITS));
    }

    @Test
    void whatMustNotCountIsNearlyAMatchWithThatReason() {
        LoggedContact relayed = logged(7, Source.OPERATOR, "PROP_MODE", "RPT");
        List<NearMiss> found = NearMiss.of(
                confirmed("ZP5QXA", "20m", "CW", "2026-05-01T14:07", "CU9QYB"),
                List.of(relayed),
                TERMS,
                contact -> contact.propagation() == null);
        assertThat(found).singleElement().satisfies(miss -> assertThat(miss.differences())
                .containsExactly(NearMiss.Difference.RELAYED));
    }

    @Test
    void contactsAreLookedForWhereASlipWouldPutThem() {
        List<Instant> moments = NearMiss.moments(Instant.parse("2026-05-31T14:07:00Z"));
        assertThat(moments)
                .contains(
                        Instant.parse("2026-05-31T14:07:00Z"),
                        Instant.parse("2026-01-31T14:07:00Z"),
                        Instant.parse("2025-05-31T14:07:00Z"),
                        Instant.parse("2026-05-13T14:07:00Z"))
                .doesNotHaveDuplicates();
    }

    @Test
    void theLikeliestComesFirst() {
        ConfirmedRecord confirmed = confirmed("ZP5QXA", "20m", "CW", "2026-05-01T15:07", "CU9QYB");
        List<LoggedContact> log = List.of(
                logged(1, Source.OPERATOR, "CALL", "ZP5QXB", "TIME_ON", "150700"),
                logged(2, Source.OPERATOR),
                logged(3, Source.OPERATOR, "TIME_ON", "150700", "MODE", "CW", "BAND", "17m"));
        assertThat(NearMiss.of(confirmed, log, TERMS))
                .extracting(miss -> miss.contact().id())
                .containsExactly(3L, 2L, 1L);
    }

    @ParameterizedTest(name = "corrected, {0} {1} {2} {3} as {4} matches")
    @CsvSource({
        "ZP5QXB, 20m, CW,   2026-05-01T14:07, CU9QYB",
        "ZP5QXA, 15m, CW,   2026-05-01T15:07, CU9QYB",
        "ZP5QXA, 20m, SSB,  2026-05-01T14:07, CU9QYB",
        "ZP5QXA, 20m, CW,   2026-05-02T14:07, CU9QYB",
        "ZP5QXA, 20m, CW,   2026-04-01T14:07, CU9QYB",
        "ZP5QXA/P, 20m, CW, 2026-05-01T14:07, CU9QYB",
        "ZP5QXA, 20m, CW,   2026-05-01T14:07, CU9QLZ",
    })
    void theCorrectionMakesItMatch(String call, String band, String mode, String start, String ownCall) {
        ConfirmedRecord confirmed = confirmed(call, band, mode, start, ownCall);
        NearMiss miss = NearMiss.of(confirmed, List.of(OURS), TERMS).get(0);
        Map<String, String> correction = miss.correction(confirmed);
        Contact corrected = readable(ContactEdit.apply(OURS.contact(), correction));
        assertThat(ConfirmationMatch.matches(corrected, confirmed, TERMS)).isTrue();
    }

    private static ConfirmedRecord confirmed(String call, String band, String mode, String start, String ownCall) {
        return new ConfirmedRecord(
                new Call(ownCall),
                new Call(call),
                Band.named(band),
                Modes.read(mode, null),
                Instant.parse(start + ":00Z"));
    }
}
