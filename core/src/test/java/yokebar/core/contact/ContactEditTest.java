package yokebar.core.contact;

import static org.assertj.core.api.Assertions.assertThat;
import static yokebar.core.contact.Contacts.contact;
import static yokebar.core.contact.Contacts.readable;

import java.util.HashMap;
import java.util.Map;
import org.junit.jupiter.api.Test;
import yokebar.core.band.Band;

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

    @Test
    void badValuesAreRefusedWithTheirField() {
        Reading reading = ContactEdit.apply(contact, Map.of("QSO_DATE", "tomorrow"));
        assertThat(((Reading.Unreadable) reading).problems())
                .extracting(Problem::field)
                .containsExactly("QSO_DATE");
    }
}
