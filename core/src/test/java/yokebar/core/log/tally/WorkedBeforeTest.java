package yokebar.core.log.tally;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Set;
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

    private static ContactCredits credits(String call, String band, String mode, boolean confirmed, String... more) {
        AdifFields fields = AdifFields.of(
                "CALL",
                call,
                "BAND",
                band,
                "MODE",
                mode,
                "QSO_DATE",
                "20261123",
                "TIME_ON",
                "1407",
                "STATION_CALLSIGN",
                "CU9QYB");
        for (int i = 0; i < more.length; i += 2) {
            fields = fields.with(more[i], more[i + 1]);
        }
        Reading.Readable reading = (Reading.Readable) ContactAdif.read(fields, null);
        return ContactCredits.of(
                Entry.of(1, reading.contact(), Entities.shipped()), confirmed ? Proofs.by(1) : Proofs.NONE);
    }

    @Test
    void countsEachKind() {
        before.add(List.of(credits("OZ/ZP5QXA/P", "20m", "CW", false, "GRIDSQUARE", "jo65ab", "STATE", "X1")));
        assertEquals(1, before.of(CreditKind.CALL.key("OZ/ZP5QXA/P")).contacts());
        assertEquals(1, before.of(CreditKind.BASE_CALL.key("ZP5QXA")).contacts());
        assertEquals(1, before.of(CreditKind.ENTITY.key("221")).contacts(), "Denmark");
        assertEquals(1, before.of(CreditKind.CQ_ZONE.key("14")).contacts());
        assertEquals(1, before.of(CreditKind.STATE.key("221/X1")).contacts());
        assertEquals(1, before.of(CreditKind.SQUARE.key("JO65")).contacts());
        assertEquals(1, before.of(CreditKind.PREFIX.key("OZ0")).contacts());
        assertEquals(0, before.of(CreditKind.ENTITY.key("132")).contacts(), "Paraguay");
    }

    @Test
    void marksEverBandAndModeApart() {
        before.add(List.of(credits("K1QAA", "20m", "CW", true), credits("K2QBB", "40m", "SSB", false)));
        Worked entity = before.of(CreditKind.ENTITY.key("291"));
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
        List<ContactCredits> away = List.of(credits("OZ/K1QAA/P", "20m", "CW", false));
        before.add(List.of(credits("K1QAA", "20m", "CW", false)));
        before.add(away);
        assertEquals(List.of("K1QAA", "OZ/K1QAA/P"), before.callsOf("K1QAA"));
        before.remove(away);
        assertEquals(List.of("K1QAA"), before.callsOf("K1QAA"));
    }

    @Test
    void whatIsTakenOutLeavesNoTrace() {
        List<ContactCredits> two = List.of(credits("K1QAA", "20m", "CW", true), credits("K1QAA", "20m", "CW", false));
        before.add(two);
        before.remove(two.subList(0, 1));
        assertEquals(
                List.of(new Worked.Cell(Band.M20, ModeGroup.CW, 1, 0, Proofs.NONE)),
                before.of(CreditKind.CALL.key("K1QAA")).cells());
        before.remove(two.subList(1, 2));
        assertFalse(before.has(CreditKind.CALL.key("K1QAA")));
        assertEquals(Worked.NOTHING, before.of(CreditKind.ENTITY.key("291")));
        assertEquals(List.of(), before.callsFrom("K", 10));
    }

    @Test
    void callsByTheirBeginning() {
        before.add(List.of(
                credits("K1QAB", "20m", "CW", false),
                credits("K1QAA", "20m", "CW", false),
                credits("K2QAA", "20m", "CW", false)));
        assertEquals(List.of("K1QAA", "K1QAB"), before.callsFrom("K1", 10));
        assertEquals(List.of("K1QAA"), before.callsFrom("K1", 1));
        assertTrue(before.has(CreditKind.CALL.key("K2QAA")));
    }

    @Test
    void manyCellsOfOneKey() {
        for (String band : List.of("80m", "10m", "40m", "2m", "20m")) {
            before.add(List.of(credits("K1QAA", band, "SSB", false), credits("K1QAA", band, "CW", true)));
        }
        Worked worked = before.of(CreditKind.CALL.key("K1QAA"));
        assertEquals(10, worked.contacts());
        assertEquals(10, worked.cells().size());
        assertEquals(WorkState.CONFIRMED, worked.state(cell -> cell.group() == ModeGroup.CW));
        assertEquals(WorkState.WORKED, worked.state(cell -> cell.group() == ModeGroup.PHONE));
    }

    @Test
    void everyReferenceOfAContactCounts() {
        before.add(List.of(
                credits("K1QAA", "20m", "CW", false, "POTA_REF", "CU-0012, CU-0013,", "SOTA_REF", "cu/co-001")));
        for (String reference : List.of("CU-0012", "CU-0013", "CU/CO-001")) {
            assertTrue(before.has(CreditKind.REFERENCE.key(reference)), reference);
        }
        assertFalse(before.has(CreditKind.REFERENCE.key("")));
    }

    @Test
    void aScopeCountsItsContactsAlone() {
        Scope festival = Scope.of(Set.of("cu9qlz"), LocalDate.parse("2026-11-23"));
        before.count(before.countOnly(Map.of(festival, Set.of(CreditKind.ENTITY))));
        List<ContactCredits> counted = List.of(credits("K1QAA", "20m", "CW", true, "STATION_CALLSIGN", "CU9QLZ"));
        before.add(counted);
        before.add(List.of(
                credits("K1QAA", "20m", "CW", false),
                credits("K1QAA", "20m", "CW", false, "STATION_CALLSIGN", "CU9QLZ", "QSO_DATE", "20261122")));
        CreditKey entity = CreditKind.ENTITY.key("291");
        assertEquals(1, before.of(festival, entity).contacts());
        assertEquals(3, before.of(entity).contacts());
        assertEquals(3, before.of(Scope.WHOLE_LOG, entity).contacts());
        before.remove(counted);
        assertEquals(Worked.NOTHING, before.of(festival, entity));
        before.countOnly(Map.of());
        before.add(counted);
        assertEquals(Worked.NOTHING, before.of(festival, entity), "nobody looks at it any more");
    }

    @Test
    void aScopeIsCountedAnewForAnotherKind() {
        Scope year = Scope.of(Set.of(), LocalDate.parse("2026-01-01"));
        before.count(before.countOnly(Map.of(year, Set.of(CreditKind.ENTITY))));
        assertEquals(List.of(), before.countOnly(Map.of(year, Set.of(CreditKind.ENTITY))));
        assertEquals(
                1, before.countOnly(Map.of(year, Set.of(CreditKind.CQ_ZONE))).size());
        assertEquals(List.of(), before.countOnly(Map.of(Scope.WHOLE_LOG, Set.of(CreditKind.ENTITY))));
    }
}
