package yokebar.core.operate.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.mode.Mode;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.log.contact.Provenance;
import yokebar.core.log.contact.Source;

class LikelyContactsTest {
    private static final Instant FIVE = Instant.parse("2026-11-30T17:00:00Z");
    private static final long SSTV_20M = 14_230_000;

    private static LoggedContact contact(long id, String start, @Nullable String end, Band band, @Nullable Long hz) {
        Contact contact = new Contact(
                Call.read("CU9QYB"),
                Call.read("ZP5QX" + (char) ('A' + id)),
                Instant.parse("2026-11-30T" + start + ":00Z"),
                true,
                end == null ? null : Instant.parse("2026-11-30T" + end + ":00Z"),
                band,
                hz,
                new Mode("SSTV", null),
                null,
                AdifFields.EMPTY);
        return new LoggedContact(id, contact, Provenance.of(Source.OPERATOR));
    }

    private static List<Long> likely(@Nullable Long hz, LoggedContact... contacts) {
        return LikelyContacts.of(List.of(contacts), FIVE, hz, 3).stream()
                .map(LoggedContact::id)
                .toList();
    }

    @Test
    void theNearestInTimeComesFirst() {
        assertThat(likely(
                        null,
                        contact(1, "16:40", null, Band.of(SSTV_20M), SSTV_20M),
                        contact(2, "17:03", null, Band.of(SSTV_20M), SSTV_20M),
                        contact(3, "16:55", null, Band.of(SSTV_20M), SSTV_20M)))
                .containsExactly(2L, 3L, 1L);
    }

    @Test
    void aContactThatWasGoingOnIsNearerThanOneThatBeganLater() {
        assertThat(likely(
                        SSTV_20M,
                        contact(1, "16:30", "17:05", Band.of(SSTV_20M), SSTV_20M),
                        contact(2, "17:01", null, Band.of(SSTV_20M), SSTV_20M)))
                .containsExactly(1L, 2L);
    }

    @Test
    void contactsOnAnotherFrequencyOrBandAreNoneOfIts() {
        long other = 7_171_000;
        assertThat(likely(
                        SSTV_20M,
                        contact(1, "17:00", null, Band.of(other), other),
                        contact(2, "17:00", null, Band.of(other), null),
                        contact(3, "17:10", null, Band.of(SSTV_20M), SSTV_20M + 4_000),
                        contact(4, "17:00", null, Band.of(SSTV_20M), null)))
                .containsExactly(3L, 4L);
    }

    @Test
    void contactsLongBeforeOrAfterAreNotOffered() {
        assertThat(likely(
                        SSTV_20M,
                        contact(1, "16:14", null, Band.of(SSTV_20M), SSTV_20M),
                        contact(2, "17:46", null, Band.of(SSTV_20M), SSTV_20M)))
                .isEmpty();
    }

    @Test
    void aContactInAModeWithoutPicturesIsOfferedToItsOwnCallOnly() {
        LoggedContact digital = contact(1, "17:00", null, Band.of(SSTV_20M), SSTV_20M);
        Contact inFt8 = digital.contact();
        LoggedContact ft8 = new LoggedContact(
                1,
                new Contact(
                        inFt8.ownCall(),
                        inFt8.call(),
                        inFt8.start(),
                        true,
                        null,
                        inFt8.band(),
                        inFt8.frequencyHz(),
                        new Mode("FT8", null),
                        null,
                        AdifFields.EMPTY),
                digital.provenance());
        assertThat(likely(SSTV_20M, ft8, contact(2, "16:50", null, Band.of(SSTV_20M), SSTV_20M)))
                .containsExactly(2L);
        assertThat(LikelyContacts.with(inFt8.call(), List.of(ft8), FIVE)).contains(ft8);
        assertThat(LikelyContacts.with(inFt8.call(), List.of(ft8), FIVE.plusSeconds(3600)))
                .isEmpty();
        assertThat(LikelyContacts.with(Call.read("OZ1QAB"), List.of(ft8), FIVE)).isEmpty();
    }
}
