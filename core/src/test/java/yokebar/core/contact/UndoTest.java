package yokebar.core.contact;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;

import java.util.List;
import org.junit.jupiter.api.Test;
import yokebar.core.adif.AdifFields;

class UndoTest {

    private static LoggedContact contact(Source commentFrom, String... fields) {
        AdifFields given = AdifFields.of(fields)
                .with("CALL", "ZP5QXA")
                .with("QSO_DATE", "20261123")
                .with("TIME_ON", "1407")
                .with("MODE", "CW")
                .with("STATION_CALLSIGN", "CU9QYB");
        Contact contact = ((Reading.Readable) ContactAdif.read(given, null)).contact();
        return new LoggedContact(1, contact, Provenance.of(Source.DATAGRAM).with(List.of("COMMENT"), commentFrom));
    }

    @Test
    void setsBackWhatTheChangeSet() {
        LoggedContact before = contact(Source.DATAGRAM, "BAND", "20m", "COMMENT", "first", "NAME", "Ana");
        LoggedContact after = contact(Source.OPERATOR, "BAND", "20m", "COMMENT", "second", "QTH", "Luque");
        Undo.Result undone = Undo.restore(before, after, after);
        assertEquals(before, undone.contact(), "with the source of each field");
        assertEquals(
                List.of("COMMENT", "NAME", "QTH"),
                undone.restored().stream().sorted().toList());
    }

    @Test
    void laterChangesStay() {
        LoggedContact before = contact(Source.DATAGRAM, "BAND", "20m", "COMMENT", "first");
        LoggedContact after = contact(Source.OPERATOR, "BAND", "20m", "COMMENT", "second", "NAME", "Ana");
        LoggedContact now = contact(Source.OPERATOR, "BAND", "20m", "COMMENT", "third", "NAME", "Ana", "TX_PWR", "5");
        Undo.Result undone = Undo.restore(before, after, now);
        assertEquals(List.of("COMMENT"), undone.kept());
        assertEquals("third", undone.contact().contact().detail("COMMENT"));
        assertEquals("5", undone.contact().contact().detail("TX_PWR"));
        assertNull(undone.contact().contact().detail("NAME"));
    }

    @Test
    void whatWouldMakeNoContactStays() {
        LoggedContact before = contact(Source.DATAGRAM, "BAND", "20m", "FREQ", "14.025");
        LoggedContact after = contact(Source.OPERATOR, "BAND", "40m", "FREQ", "7.025");
        LoggedContact now = contact(Source.OPERATOR, "BAND", "40m", "FREQ", "7.030");
        Undo.Result undone = Undo.restore(before, after, now);
        assertEquals(now, undone.contact());
        assertEquals(List.of("FREQ", "BAND"), undone.kept());
    }
}
