package yokebar.core.log.contact;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.mode.Mode;
import yokebar.core.log.adif.AdifFields;

class ContactAdifTest {
    private static final AdifFields WHOLE = AdifFields.of(
            "CALL", "zp5qxa",
            "QSO_DATE", "20260501",
            "TIME_ON", "1407",
            "TIME_OFF", "0003",
            "FREQ", "14.0745",
            "MODE", "USB",
            "RST_SENT", "59",
            "NAME", "Ana",
            "APP_OTHER_THING", "x y");

    @Test
    void readsWhatIsThere() {
        Contact contact = Contacts.readable(ContactAdif.read(WHOLE, new Call("CU9QYB")));
        assertThat(contact.call()).hasToString("ZP5QXA");
        assertThat(contact.ownCall()).hasToString("CU9QYB");
        assertThat(contact.start()).isEqualTo(Instant.parse("2026-05-01T14:07:00Z"));
        assertThat(contact.secondsKnown()).isFalse();
        assertThat(contact.end()).isEqualTo(Instant.parse("2026-05-02T00:03:00Z"));
        assertThat(contact.band()).isEqualTo(Band.M20);
        assertThat(contact.frequencyHz()).isEqualTo(14_074_500L);
        assertThat(contact.mode()).isEqualTo(new Mode("SSB", "USB"));
        assertThat(contact.details())
                .isEqualTo(AdifFields.of("RST_SENT", "59", "NAME", "Ana", "APP_OTHER_THING", "x y"));
    }

    @Test
    void writesEveryFieldBack() {
        Contact contact = Contacts.readable(ContactAdif.read(WHOLE, new Call("CU9QYB")));
        AdifFields written = ContactAdif.write(contact);
        assertThat(written.get("TIME_ON")).isEqualTo("1407");
        assertThat(written.get("QSO_DATE_OFF")).isEqualTo("20260502");
        assertThat(written.get("FREQ")).isEqualTo("14.0745");
        assertThat(written.get("APP_OTHER_THING")).isEqualTo("x y");
        assertThat(Contacts.readable(ContactAdif.read(written, null))).isEqualTo(contact);
    }

    @ParameterizedTest(name = "{0}={1} → {2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "CALL||CALL is missing",
                "CALL|A!|CALL \"A!\" cannot be a call",
                "QSO_DATE|20260230|QSO_DATE \"20260230\" is not a date",
                "QSO_DATE|18991231|QSO_DATE \"18991231\" is not a date",
                "QSO_DATE||QSO_DATE is missing",
                "TIME_ON|2460|TIME_ON \"2460\" is not a time",
                "TIME_ON|14:07|TIME_ON \"14:07\" is not a time",
                "FREQ|27.555|FREQ \"27.555\" MHz is on no amateur band",
                "FREQ|abc|FREQ \"abc\" is not a frequency",
                "MODE|SHOUTING|MODE \"SHOUTING\" is not a mode",
                "MODE||MODE is missing",
            })
    void saysWhatIsWrong(String field, String value, String start) {
        Reading reading = ContactAdif.read(WHOLE.with(field, value), new Call("CU9QYB"));
        assertThat(reading).isInstanceOf(Reading.Unreadable.class);
        assertThat(((Reading.Unreadable) reading).sentence()).startsWith(start);
    }

    @Test
    void saysAllThatIsWrongAtOnce() {
        Reading reading = ContactAdif.read(AdifFields.of("NAME", "Ana"), null);
        assertThat(((Reading.Unreadable) reading).problems())
                .extracting(Problem::field)
                .containsExactly("CALL", "STATION_CALLSIGN", "QSO_DATE", "TIME_ON", "BAND", "MODE");
    }

    @Test
    void livesWithOddities() {
        Reading reading = ContactAdif.read(
                WHOLE.with("BAND", "40m").with("TIME_OFF", "9999").with("PROP_MODE", "MAGIC"), new Call("CU9QYB"));
        Reading.Readable readable = (Reading.Readable) reading;
        assertThat(readable.notices()).extracting(Problem::field).containsExactly("BAND", "TIME_OFF", "PROP_MODE");
        assertThat(readable.contact().band()).isEqualTo(Band.M20);
        AdifFields written = ContactAdif.write(readable.contact());
        assertThat(written.get("TIME_OFF")).isEqualTo("9999");
        assertThat(written.get("PROP_MODE")).isEqualTo("MAGIC");
    }

    @Test
    void aZeroFrequencyWithABandIsNoFrequency() {
        Contact contact =
                Contacts.readable(ContactAdif.read(WHOLE.with("FREQ", "0.000").with("BAND", "2M"), new Call("CU9QYB")));
        assertThat(contact.band()).isEqualTo(Band.M2);
        assertThat(contact.frequencyHz()).isNull();
    }

    @Property
    void frequenciesAreExactToTheHz(@ForAll @LongRange(min = 1, max = 7_500_000_000_000L) long hz) {
        assertThat(AdifFrequency.hz(AdifFrequency.mhz(hz))).isEqualTo(hz);
    }

    @Property
    void timesComeBack(@ForAll @IntRange(min = 0, max = Integer.MAX_VALUE) int second) {
        Instant time = Instant.ofEpochSecond(second);
        long day = AdifTime.epochDay(AdifTime.date(time));
        assertThat(day * 86_400 + AdifTime.secondOfDay(AdifTime.time(time, true)))
                .isEqualTo(second);
    }

    @ParameterizedTest
    @CsvSource({"14.0740004, 14074000", "14.0740005, 14074001", "'14,074', 14074000", "14., 14000000", ".5, 500000"})
    void roundsBelowOneHz(String mhz, long hz) {
        assertThat(AdifFrequency.hz(mhz)).isEqualTo(hz);
    }
}
