package yokebar.core.log.contact;

import static org.assertj.core.api.Assertions.assertThat;
import static yokebar.core.log.contact.Contacts.contact;
import static yokebar.core.log.contact.Contacts.logged;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.core.log.contact.SameContact.Paths;

class SameContactTest {

    private static boolean same(Contact a, Contact b) {
        return SameContact.same(a, b, Paths.DIFFERENT);
    }

    private static boolean sameByOnePath(Contact a, Contact b) {
        return SameContact.same(a, b, Paths.SAME);
    }

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
        assertThat(same(contact(), contact(field, value))).isEqualTo(same);
    }

    /** The first record has 14:07:00 and 599 both ways. */
    @ParameterizedTest(name = "by {0} paths {1}, report {2}: {3}")
    @CsvSource({
        "DIFFERENT, 1425, 599, true",
        "DIFFERENT, 1425, 579, false",
        "DIFFERENT, 142500, 599, false",
        "DIFFERENT, 1437, 599, true",
        "DIFFERENT, 1438, 599, false",
        "SAME, 140700, 599, true",
        "SAME, 140700, 579, true",
        "SAME, 140759, 599, true",
        "SAME, 140759, 579, false",
        "SAME, 1407, 599, true",
        "SAME, 1407, , true",
        "SAME, 1407, 579, false",
        "SAME, 140800, 599, false",
        "SAME, 1408, 599, false",
        "SAME, 1417, 599, false",
    })
    void aVagueTimeNeedsAgreeingReportsAndOnePathTheSameMinute(Paths paths, String time, String report, boolean same) {
        Contact first = contact("RST_SENT", "599", "RST_RCVD", "599");
        Contact second = report == null
                ? contact("TIME_ON", time)
                : contact("RST_SENT", "599", "RST_RCVD", report, "TIME_ON", time);
        assertThat(SameContact.same(first, second, paths)).isEqualTo(same);
        assertThat(SameContact.same(second, first, paths)).isEqualTo(same);
    }

    @ParameterizedTest(name = "{0} {1} and {2}: {3}")
    @CsvSource({
        "STX, 12, 13, false",
        "STX, 012, 12, true",
        "SRX, 7, 8, false",
        "SRX_STRING, HM49, hm49, true",
        "SRX_STRING, 599 012 HM49, 12 HM49, true",
        "STX_STRING, 12 HM49, 13 HM49, false",
    })
    void differentSerialsAndExchangesAreDifferentContacts(String field, String one, String other, boolean same) {
        assertThat(same(contact(field, one), contact(field, other))).isEqualTo(same);
        assertThat(sameByOnePath(contact(field, one), contact(field, other))).isEqualTo(same);
        assertThat(same(contact(field, one), contact())).as("one without").isTrue();
    }

    @Test
    void noReportsDoNotAgree() {
        assertThat(same(contact(), contact("TIME_ON", "1425"))).isFalse();
    }

    @Test
    void generalAndFineModeAreOne() {
        assertThat(same(contact("MODE", "SSB"), contact("MODE", "USB"))).isTrue();
    }

    @Test
    void theNearestInTimeIsTaken() {
        List<LoggedContact> log = List.of(
                logged(1, Source.DATAGRAM, "TIME_ON", "140500"), logged(2, Source.DATAGRAM, "TIME_ON", "140800"));
        assertThat(SameContact.nearest(contact(), log)).map(LoggedContact::id).contains(2L);
    }

    /** Whatever one path brings: what is one there is one by any path, and starts in two minutes are two contacts. */
    @Property(tries = 500)
    void twoRecordsOfOnePath(
            @ForAll @IntRange(max = 40) int minutes,
            @ForAll @IntRange(max = 59) int seconds,
            @ForAll boolean firstVague,
            @ForAll boolean secondVague,
            @ForAll @IntRange(min = 7, max = 9) int report) {
        Contact first = contact("TIME_ON", firstVague ? "1407" : "140700", "RST_SENT", "599");
        Contact second = contact(
                "TIME_ON",
                "14" + two((7 + minutes) % 60) + (secondVague ? "" : two(seconds)),
                "RST_SENT",
                "5" + report + "9");
        boolean same = sameByOnePath(first, second);
        assertThat(same).isEqualTo(sameByOnePath(second, first));
        if (same) {
            assertThat(same(first, second)).isTrue();
            assertThat(SameContact.sameMinute(first, second)).isTrue();
        }
        if (minutes > 0) {
            assertThat(same).isFalse();
        }
    }

    /** A contest log without seconds, one contact a minute with the same few stations: none is taken for another. */
    @Property(tries = 50)
    void aContestLogWithAContactEveryMinute(
            @ForAll @IntRange(min = 1, max = 4) int stations, @ForAll boolean withSerials) {
        List<Contact> log = new ArrayList<>();
        for (int i = 0; i < 50; i++) {
            Contact next = contact(
                    "CALL",
                    "ZP5QX" + (char) ('A' + i % stations),
                    "TIME_ON",
                    "14" + two(i),
                    "RST_SENT",
                    "599",
                    "RST_RCVD",
                    "599",
                    withSerials ? "STX" : "COMMENT",
                    Integer.toString(i + 1));
            assertThat(log).noneMatch(earlier -> sameByOnePath(next, earlier));
            log.add(next);
        }
        if (withSerials) {
            // Another program's copy finds each its own, though the others are only minutes away.
            for (Contact contact : log) {
                assertThat(log.stream().filter(other -> same(contact, other))).containsExactly(contact);
            }
        }
        assertThat(Duration.between(log.get(0).start(), log.get(49).start())).isEqualTo(Duration.ofMinutes(49));
    }

    private static String two(int number) {
        return number < 10 ? "0" + number : Integer.toString(number);
    }
}
