package yokebar.core.operate.need;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.util.List;
import org.junit.jupiter.api.Test;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.entity.Entities;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.ContactAdif;
import yokebar.core.log.contact.Reading;
import yokebar.core.log.index.Entry;

class WorkedBeforeTest {
    private final WorkedBefore before = new WorkedBefore();

    private static Facts facts(String call, String band, String mode, boolean confirmed, String... more) {
        AdifFields fields = AdifFields.of(more)
                .with("CALL", call)
                .with("BAND", band)
                .with("MODE", mode)
                .with("QSO_DATE", "20261123")
                .with("TIME_ON", "1407")
                .with("STATION_CALLSIGN", "CU9QYB");
        Reading.Readable reading = (Reading.Readable) ContactAdif.read(fields, null);
        return Facts.of(Entry.of(1, reading.contact(), Entities.shipped()), confirmed ? Proofs.by(1) : Proofs.NONE);
    }

    @Test
    void countsEachKind() {
        before.add(List.of(facts("OZ/ZP5QXA/P", "20m", "CW", false, "GRIDSQUARE", "jo65ab", "STATE", "X1")));
        assertEquals(1, before.of(Kind.CALL, "OZ/ZP5QXA/P").contacts());
        assertEquals(1, before.of(Kind.BASE_CALL, "ZP5QXA").contacts());
        assertEquals(1, before.of(Kind.ENTITY, "221").contacts(), "Denmark");
        assertEquals(1, before.of(Kind.CQ_ZONE, "14").contacts());
        assertEquals(1, before.of(Kind.STATE, "221/X1").contacts());
        assertEquals(1, before.of(Kind.SQUARE, "JO65").contacts());
        assertEquals(1, before.of(Kind.PREFIX, "OZ0").contacts());
        assertEquals(0, before.of(Kind.ENTITY, "132").contacts(), "Paraguay");
    }

    @Test
    void marksEverBandAndModeApart() {
        before.add(List.of(facts("K1QAA", "20m", "CW", true), facts("K2QBB", "40m", "SSB", false)));
        Worked entity = before.of(Kind.ENTITY, "291");
        assertEquals(
                new NeedMark(WorkState.CONFIRMED, WorkState.CONFIRMED, WorkState.CONFIRMED),
                entity.mark(Band.M20, ModeGroup.CW));
        assertEquals(
                new NeedMark(WorkState.CONFIRMED, WorkState.WORKED, WorkState.WORKED),
                entity.mark(Band.M40, ModeGroup.PHONE));
        assertEquals(
                new NeedMark(WorkState.CONFIRMED, WorkState.NEEDED, WorkState.NEEDED),
                entity.mark(Band.M15, ModeGroup.DIGITAL));
    }

    @Test
    void knowsAStationUnderEveryCallOfIts() {
        List<Facts> away = List.of(facts("OZ/K1QAA/P", "20m", "CW", false));
        before.add(List.of(facts("K1QAA", "20m", "CW", false)));
        before.add(away);
        assertEquals(List.of("K1QAA", "OZ/K1QAA/P"), before.callsOf("K1QAA"));
        before.remove(away);
        assertEquals(List.of("K1QAA"), before.callsOf("K1QAA"));
    }

    @Test
    void whatIsTakenOutLeavesNoTrace() {
        List<Facts> two = List.of(facts("K1QAA", "20m", "CW", true), facts("K1QAA", "20m", "CW", false));
        before.add(two);
        before.remove(two.subList(0, 1));
        assertEquals(
                List.of(new Worked.Cell(Band.M20, ModeGroup.CW, 1, 0, Proofs.NONE)),
                before.of(Kind.CALL, "K1QAA").cells());
        before.remove(two.subList(1, 2));
        assertFalse(before.has(Kind.CALL, "K1QAA"));
        assertEquals(Worked.NOTHING, before.of(Kind.ENTITY, "291"));
        assertEquals(List.of(), before.callsFrom("K", 10));
    }

    @Test
    void callsByTheirBeginning() {
        before.add(List.of(
                facts("K1QAB", "20m", "CW", false),
                facts("K1QAA", "20m", "CW", false),
                facts("K2QAA", "20m", "CW", false)));
        assertEquals(List.of("K1QAA", "K1QAB"), before.callsFrom("K1", 10));
        assertEquals(List.of("K1QAA"), before.callsFrom("K1", 1));
        assertTrue(before.has(Kind.CALL, "K2QAA"));
    }

    @Test
    void manyCellsOfOneKey() {
        for (String band : List.of("80m", "10m", "40m", "2m", "20m")) {
            before.add(List.of(facts("K1QAA", band, "SSB", false), facts("K1QAA", band, "CW", true)));
        }
        Worked worked = before.of(Kind.CALL, "K1QAA");
        assertEquals(10, worked.contacts());
        assertEquals(10, worked.cells().size());
        assertEquals(WorkState.CONFIRMED, worked.state(cell -> cell.group() == ModeGroup.CW));
        assertEquals(WorkState.WORKED, worked.state(cell -> cell.group() == ModeGroup.PHONE));
    }
}
