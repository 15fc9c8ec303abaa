package yokebar.core.log.index;

import static org.junit.jupiter.api.Assertions.assertArrayEquals;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertFalse;
import static org.junit.jupiter.api.Assertions.assertThrows;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.core.basics.entity.Entities;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.ContactAdif;
import yokebar.core.log.contact.Reading;

class LogIndexTest {
    private static final String[] BANDS = {"80m", "40m", "20m", "15m"};
    private static final String[] CALLS = {"ZP5QXA", "K1QAB", "DL1QCC", "JA7QDD", "VK2QEE", "OH8QFF"};

    private final LogIndex index = new LogIndex();

    private static Entry entry(long id, String... fields) {
        AdifFields given = AdifFields.of(fields);
        for (String[] usual : new String[][] {
            {"CALL", "ZP5QXA"},
            {"QSO_DATE", "20261123"},
            {"TIME_ON", "140731"},
            {"BAND", "20m"},
            {"MODE", "CW"},
            {"STATION_CALLSIGN", "CU9QYB"}
        }) {
            given = given.get(usual[0]) == null ? given.with(usual[0], usual[1]) : given;
        }
        Reading.Readable reading = (Reading.Readable) ContactAdif.read(given, null);
        return Entry.of(id, reading.contact(), Entities.shipped());
    }

    private List<Long> found(String search) {
        return index.search(SearchText.read(search, index::hasField), Order.NEWEST_FIRST)
                .ids()
                .boxed()
                .toList();
    }

    private List<Long> sorted(String field, boolean descending) {
        return index.search(Search.ALL, new Order(field, descending))
                .ids()
                .boxed()
                .toList();
    }

    private void fourContacts() {
        index.add(List.of(
                entry(1, "CALL", "ZP5QXA", "TIME_ON", "1400", "NAME", "Ana", "FREQ", "14.025", "BAND", "20m"),
                entry(
                        2, "CALL", "K1QAB", "TIME_ON", "1500", "MODE", "USB", "BAND", "40m", "TX_PWR", "5", "IOTA",
                        "NA-148"),
                entry(
                        3,
                        "CALL",
                        "9A1QCC",
                        "TIME_ON",
                        "1300",
                        "MODE",
                        "FT4",
                        "BAND",
                        "10m",
                        "COMMENT",
                        "Loud, analog rig"),
                entry(4, "CALL", "K2QDD", "QSO_DATE", "20251231", "BAND", "40m", "TX_PWR", "100", "PROP_MODE", "RPT")));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "'' | 2 1 3 4",
                "ana | 1 3",
                "zp5 | 1",
                "paraguay | 1",
                "entity:paraguay | 1",
                "40m | 2 4",
                "mode:ssb | 2",
                "mode:usb | 2",
                "group:digital | 3",
                "band:40m,10m | 2 3 4",
                "-band:40m | 1 3",
                "power:>5 | 4",
                "power:1..5 | 2",
                "via:none | 2 1 3",
                "via:rpt | 4",
                "iota:na-* | 2",
                "call:k*qab | 2",
                "date:2025 | 4",
                "date:2026-11-23T14:00.. | 2 1",
                "freq:14000..14350 | 1",
                "40m date:2026 | 2",
                "nobody |",
                "nofield:x |",
                "-nofield:x |",
                "-date:2026-02-30 |",
                "freq:14.025 | 1",
                "freq:14.0 | 1",
                "time:13..14 | 1 3 4",
                "time:14:07 | 4",
                "time:15:00..13:30 | 2 3",
            })
    void searches(String search, String ids) {
        fourContacts();
        List<Long> expected = ids == null
                ? List.of()
                : Arrays.stream(ids.split(" ")).map(Long::valueOf).toList();
        assertEquals(expected, found(search));
    }

    @Test
    void sortsByAnyFieldAndKeepsTheNewestFirstAmongEquals() {
        fourContacts();
        assertEquals(List.of(4L, 3L, 1L, 2L), sorted(Order.START, false));
        assertEquals(List.of(3L, 1L, 2L, 4L), sorted("BAND", false));
        assertEquals(List.of(2L, 4L, 1L, 3L), sorted("BAND", true));
        assertEquals(List.of(2L, 4L, 1L, 3L), sorted("TX_PWR", false), "5 before 100, those without last");
        assertEquals(List.of(4L, 2L, 1L, 3L), sorted("TX_PWR", true));
        assertEquals(List.of(1L, 2L, 3L, 4L), sorted(Order.FREQUENCY, true));
        assertEquals(List.of(3L, 2L, 4L, 1L), sorted("CALL", false));
    }

    @Test
    void facetsLeaveTheirOwnChoiceOpen() {
        fourContacts();
        Map<String, List<ValueCount>> facets =
                index.facets(SearchText.read("band:40m group:cw"), List.of("BAND", "GROUP", "YEAR"));
        assertEquals(List.of(new ValueCount("20m", 1), new ValueCount("40m", 1)), facets.get("BAND"));
        assertEquals(List.of(new ValueCount("CW", 1), new ValueCount("PHONE", 1)), facets.get("GROUP"));
        assertEquals(List.of(new ValueCount("2025", 1)), facets.get("YEAR"));
    }

    @Test
    void aChangedContactIsFoundAsItIsNow() {
        fourContacts();
        index.mark(1, "COUNTERSIGN", "DUE");
        index.replace(entry(1, "CALL", "ZP6QXA", "TIME_ON", "1600"), Set.of("COUNTERSIGN"));
        assertEquals(List.of(1L, 2L, 3L, 4L), found(""));
        assertEquals(List.of(1L), found("zp6"));
        assertEquals(List.of(), found("zp5"));
        assertEquals(List.of(), found("name:ana"), "the name is gone");
        assertEquals(List.of(1L), found("countersign:due"));
        assertEquals("ZP6QXA", index.entry(1).orElseThrow().fields().get("CALL"));
    }

    @Test
    void aRemovedContactIsInNothing() {
        fourContacts();
        index.remove(List.of(1L, 4L, 99L));
        assertEquals(List.of(2L, 3L), found(""));
        assertEquals(List.of(2L, 3L), found("via:none"));
        assertEquals(List.of(2L, 3L), found("-call:x"));
        assertEquals(
                List.of(new ValueCount("10m", 1), new ValueCount("40m", 1)),
                index.facets(Search.ALL, List.of("BAND")).get("BAND"));
        assertFalse(index.has(1));
        index.add(List.of(entry(1, "TIME_ON", "1400")));
        assertEquals(List.of(2L, 1L, 3L), found(""));
    }

    @Test
    void tellsWhereAContactStandsInWhatWasFound() {
        fourContacts();
        Found all = index.search(Search.ALL, Order.NEWEST_FIRST);
        assertEquals(OptionalInt.of(1), index.placeOf(all, 1));
        assertEquals(OptionalInt.empty(), index.placeOf(index.search(SearchText.read("40m"), Order.NEWEST_FIRST), 1));
        assertArrayEquals(new long[] {3, 4}, all.ids(2, 10));
        assertArrayEquals(new long[] {}, all.ids(4, 10));
    }

    @Test
    void isTheSameAfterBeingWrittenAndRead() throws IOException {
        fourContacts();
        index.mark(2, "COUNTERSIGN", "DUE");
        index.remove(List.of(3L));
        ByteArrayOutputStream bytes = new ByteArrayOutputStream();
        IndexFile.write(index, bytes);
        LogIndex read = IndexFile.read(new ByteArrayInputStream(bytes.toByteArray()));
        assertEquals(3, read.size());
        assertEquals(4, read.highestId());
        for (long id : List.of(1L, 2L, 4L)) {
            assertEquals(
                    fieldsOf(index.entry(id).orElseThrow()),
                    fieldsOf(read.entry(id).orElseThrow()));
            assertEquals(
                    index.entry(id).orElseThrow().frequencyHz(),
                    read.entry(id).orElseThrow().frequencyHz());
        }
        assertArrayEquals(
                index.search(Search.ALL, Order.NEWEST_FIRST).ids().toArray(),
                read.search(Search.ALL, Order.NEWEST_FIRST).ids().toArray());
        byte[] cut = Arrays.copyOf(bytes.toByteArray(), bytes.size() - 3);
        assertThrows(IOException.class, () -> IndexFile.read(new ByteArrayInputStream(cut)));
        assertThrows(IOException.class, () -> IndexFile.read(new ByteArrayInputStream(new byte[100])));
    }

    private static Map<String, String> fieldsOf(Entry entry) {
        Map<String, String> fields = new TreeMap<>();
        entry.fields().forEach(fields::put);
        return fields;
    }

    /** Whatever comes, changes and goes in whatever order: the index answers as a plain list would. */
    @Property(tries = 60)
    void agreesWithAPlainList(@ForAll Random random) {
        Map<Long, Entry> plain = new TreeMap<>();
        LogIndex fresh = new LogIndex();
        long next = 1;
        for (int step = 0; step < 25; step++) {
            int kind = random.nextInt(4);
            if (kind < 2 || plain.isEmpty()) {
                List<Entry> batch = new ArrayList<>();
                for (int i = 0; i <= random.nextInt(6); i++) {
                    batch.add(random(next++, random));
                }
                fresh.add(batch);
                batch.forEach(entry -> plain.put(entry.id(), entry));
            } else {
                long id = new ArrayList<>(plain.keySet()).get(random.nextInt(plain.size()));
                if (kind == 2) {
                    plain.put(id, random(id, random));
                    fresh.replace(plain.get(id), Set.of());
                } else {
                    plain.remove(id);
                    fresh.remove(List.of(id));
                }
            }
        }
        String band = BANDS[random.nextInt(BANDS.length)];
        List<Long> expected = plain.values().stream()
                .filter(entry -> band.equals(entry.fields().get("BAND")))
                .sorted(Comparator.comparingLong(Entry::startSecond)
                        .thenComparing(Entry::id)
                        .reversed())
                .map(Entry::id)
                .toList();
        assertEquals(
                expected,
                fresh.search(SearchText.read(band), Order.NEWEST_FIRST)
                        .ids()
                        .boxed()
                        .toList());
        assertEquals(plain.size(), fresh.size());
        plain.forEach((id, entry) -> assertEquals(
                entry.fields().get("CALL"),
                fresh.entry(id).orElseThrow().fields().get("CALL")));
    }

    private static Entry random(long id, Random random) {
        String minute = String.format("%02d", random.nextInt(60));
        return entry(
                id,
                "CALL",
                CALLS[random.nextInt(CALLS.length)],
                "BAND",
                BANDS[random.nextInt(BANDS.length)],
                "TIME_ON",
                "14" + minute);
    }

    @Test
    void startsAreGivenForStatistics() {
        fourContacts();
        List<Instant> starts = new ArrayList<>();
        index.forEachStart(SearchText.read("40m"), second -> starts.add(Instant.ofEpochSecond(second)));
        assertEquals(List.of(Instant.parse("2026-11-23T15:00:00Z"), Instant.parse("2025-12-31T14:07:31Z")), starts);
    }

    @Test
    void countsByHourAndByMonthWithoutGaps() {
        StartTally tally = new StartTally();
        for (String start : List.of("2025-11-30T23:59:59Z", "2026-01-01T00:00:00Z", "2026-01-31T23:10:00Z")) {
            tally.count(Instant.parse(start).getEpochSecond());
        }
        assertEquals(3, tally.contacts());
        assertEquals(2, tally.byHour()[23]);
        assertEquals(1, tally.byHour()[0]);
        assertEquals(
                List.of(new ValueCount("2025-11", 1), new ValueCount("2025-12", 0), new ValueCount("2026-01", 2)),
                tally.byMonth());
    }
}
