package yokebar.core.log.contact;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNull;

import java.util.List;
import org.junit.jupiter.api.Test;
import yokebar.core.log.adif.AdifFields;

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

    /** A to B, B to C; the first is taken back, which changes nothing; then the second: it is A again. */
    @Test
    void outOfOrderEachFieldReturnsToTheNewestValueThatStands() {
        LoggedContact a = contact(Source.DATAGRAM, "BAND", "20m", "COMMENT", "a", "NAME", "Ana");
        LoggedContact b = contact(Source.OPERATOR, "BAND", "20m", "COMMENT", "b", "NAME", "Ana");
        LoggedContact c = contact(Source.OPERATOR, "BAND", "20m", "COMMENT", "c", "NAME", "Bia");
        assertEquals(List.of("COMMENT"), Undo.restore(a, b, c).kept());
        Undo.Result undone = Undo.restore(b, c, c, List.of(new Undo.Undone(a, b)));
        assertEquals("a", undone.contact().contact().detail("COMMENT"));
        assertEquals("Ana", undone.contact().contact().detail("NAME"));
        assertEquals(Source.DATAGRAM, undone.contact().provenance().of("COMMENT"));
        assertEquals("b", Undo.restore(b, c, c).contact().contact().detail("COMMENT"), "while the first stands");
    }

    @Test
    void whatAChangeThatStandsHadSetIsNotPassedOver() {
        LoggedContact a = contact(Source.DATAGRAM, "BAND", "20m", "COMMENT", "a");
        LoggedContact b = contact(Source.OPERATOR, "BAND", "20m", "COMMENT", "b");
        LoggedContact c = contact(Source.OPERATOR, "BAND", "20m", "COMMENT", "c");
        LoggedContact d = contact(Source.OPERATOR, "BAND", "20m", "COMMENT", "d");
        // a to b was taken back, b to c stands, c to d is taken back now.
        Undo.Result undone = Undo.restore(c, d, d, List.of(new Undo.Undone(a, b)));
        assertEquals("c", undone.contact().contact().detail("COMMENT"));
    }
}
