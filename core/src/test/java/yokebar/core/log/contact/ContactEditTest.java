package yokebar.core.log.contact;

import static org.assertj.core.api.Assertions.assertThat;
import static yokebar.core.log.contact.Contacts.contact;
import static yokebar.core.log.contact.Contacts.readable;

import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.core.basics.band.Band;

class ContactEditTest {
    private final Contact contact = contact("FREQ", "14.025", "NAME", "Ana");

    @Test
    void setsAndClearsFields() {
        Map<String, String> changes = new HashMap<>();
        changes.put("NAME", null);
        changes.put("QTH", "Asuncion");
        changes.put("CALL", "zp5qxb");
        Contact edited = readable(ContactEdit.apply(contact, changes));
        assertThat(edited.detail("NAME")).isNull();
        assertThat(edited.detail("QTH")).isEqualTo("Asuncion");
        assertThat(edited.call()).hasToString("ZP5QXB");
        assertThat(edited.frequencyHz()).isEqualTo(14_025_000L);
    }

    @Test
    void aNewBandDropsTheOldFrequencyAndTheOtherWayRound() {
        Contact on40 = readable(ContactEdit.apply(contact, Map.of("BAND", "40m")));
        assertThat(on40.band()).isEqualTo(Band.M40);
        assertThat(on40.frequencyHz()).isNull();
        assertThat(readable(ContactEdit.apply(contact, Map.of("FREQ", "7.030"))).band())
                .isEqualTo(Band.M40);
        assertThat(readable(ContactEdit.apply(contact, Map.of("BAND", "20M"))).frequencyHz())
                .isNotNull();
    }

    @Test
    void aNewModeDropsTheOldSubmode() {
        Contact usb = contact("MODE", "USB");
        assertThat(readable(ContactEdit.apply(usb, Map.of("MODE", "CW"))).mode().submode())
                .isNull();
    }

    @ParameterizedTest(name = "{0} {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "GRIDSQUARE|GG99zz|is not a locator",
                "DXCC|1000|is not the number of an entity",
                "CQZ|41|is not a CQ zone",
                "ITUZ|0|is not an ITU zone",
                "TX_PWR|lots|is not a power",
                "TX_PWR|20000|is not a power",
                "PROP_MODE|XYZ|is not a propagation mode",
                "QSLRDATE|20260230|is not a date",
                "CONT|EX|is not a continent",
                "AGE|old|is not an age",
            })
    void valuesAdifDoesNotKnowAreRefusedInAnEditAndToldInARecord(String field, String value, String why) {
        Reading edited = ContactEdit.apply(contact, Map.of(field, value));
        assertThat(((Reading.Unreadable) edited).problems()).singleElement().satisfies(problem -> {
            assertThat(problem.field()).isEqualTo(field);
            assertThat(problem.sentence()).contains(why);
        });
        Reading read = ContactAdif.read(ContactAdif.write(contact).with(field, value), null);
        assertThat(((Reading.Readable) read).notices())
                .singleElement()
                .satisfies(notice -> assertThat(notice.sentence()).contains(why).contains("kept as it came"));
        assertThat(ContactAdif.write(readable(read)).get(field)).isEqualTo(value);
    }

    @Test
    void whatCannotBeSeenOrReadAgainIsRefused() {
        assertThat(ContactEdit.apply(contact, Map.of("NAME", "A\u0007na"))).isInstanceOf(Reading.Unreadable.class);
        assertThat(ContactEdit.apply(contact, Map.of("NAME", "A".repeat(10_001))))
                .isInstanceOf(Reading.Unreadable.class);
        assertThat(ContactEdit.apply(contact, Map.of("NOTES", "two\nlines"))).isInstanceOf(Reading.Readable.class);
    }

    @Test
    void badValuesAreRefusedWithTheirField() {
        Reading reading = ContactEdit.apply(contact, Map.of("QSO_DATE", "tomorrow"));
        assertThat(((Reading.Unreadable) reading).problems())
                .extracting(Problem::field)
                .containsExactly("QSO_DATE");
    }
}
