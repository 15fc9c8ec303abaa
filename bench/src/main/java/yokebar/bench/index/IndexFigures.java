package yokebar.bench.index;

import java.io.ByteArrayInputStream;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import yokebar.bench.LongLog;
import yokebar.bench.index.IndexCandidate.Answer;
import yokebar.bench.index.IndexCandidate.Field;
import yokebar.bench.index.IndexCandidate.Question;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.entity.Entities;
import yokebar.core.log.adif.AdiReader;
import yokebar.core.log.adif.AdifRecord;
import yokebar.core.log.contact.ContactAdif;
import yokebar.core.log.contact.Reading;
import yokebar.core.log.index.Entry;

/**
 * Searches, counts and adds in three indexes of the same long log. Each runs in a process of its own, named by the argument:
 * {@code columns}, {@code bitmaps} or {@code library}.
 */
public final class IndexFigures {
    private static final int CONTACTS = Integer.getInteger("contacts", 1_000_000);
    private static final int PART = 50_000;
    private static final int TRIES = 21;
    private static final long ALWAYS = 4_000_000_000L;
    private static final List<String> COUNTED = List.of("BAND", "MODE", "GROUP", "COUNTRY", "CONT", "STATE");
    private static final List<Question> QUESTIONS = List.of(
            question("", List.of(), List.of(), "", 0, ALWAYS, "", ""),
            question(
                    "20m mode:cw",
                    List.of(new Field("BAND", List.of("20M")), new Field("MODE", List.of("CW"))),
                    List.of(),
                    "",
                    0,
                    ALWAYS,
                    "",
                    ""),
            question(
                    "entity:japan 40m",
                    List.of(new Field("COUNTRY", List.of("JAPAN")), new Field("BAND", List.of("40M"))),
                    List.of(),
                    "",
                    0,
                    ALWAYS,
                    "",
                    ""),
            question("date:2009", List.of(), List.of(), "", 1_230_768_000L, 1_262_304_000L, "", ""),
            question("call:oz1*", List.of(), List.of(), "OZ1", 0, ALWAYS, "", ""),
            question(
                    "-group:digital",
                    List.of(),
                    List.of(new Field("GROUP", List.of("DIGITAL"))),
                    "",
                    0,
                    ALWAYS,
                    "",
                    ""),
            question("harbour", List.of(), List.of(), "", 0, ALWAYS, "HARBOUR", ""),
            question("zp5", List.of(), List.of(), "", 0, ALWAYS, "ZP5", ""),
            question("qth:*bridge*", List.of(), List.of(), "", 0, ALWAYS, "", "BRIDGE"),
            question(
                    "state:ca,tx band:15m,10m",
                    List.of(new Field("STATE", List.of("CA", "TX")), new Field("BAND", List.of("15M", "10M"))),
                    List.of(),
                    "",
                    0,
                    ALWAYS,
                    "",
                    ""));

    private IndexFigures() {}

    private static Question question(
            String text,
            List<Field> equal,
            List<Field> not,
            String callStart,
            long from,
            long until,
            String word,
            String part) {
        return new Question(text, equal, not, callStart, from, until, word, part);
    }

    public static void main(String[] args) throws Exception {
        IndexCandidate index =
                switch (args[0]) {
                    case "columns" -> new ColumnCandidate();
                    case "bitmaps" -> new BitmapCandidate();
                    default -> new SearchLibraryCandidate();
                };
        Entities entities = Entities.shipped();
        long before = used();
        long nanos = 0;
        for (int from = 0; from < CONTACTS; from += PART) {
            List<Entry> part = entries(from, Math.min(from + PART, CONTACTS), entities);
            long start = System.nanoTime();
            index.add(part);
            nanos += System.nanoTime() - start;
        }
        System.out.printf("index: %s: built in %.1f s, %.0f MB%n", index.name(), nanos / 1e9, (used() - before) / 1e6);
        List<Double> all = new ArrayList<>();
        for (Question question : QUESTIONS) {
            Answer answer = index.search(question);
            double ms = median(() -> index.search(question));
            all.add(ms);
            System.out.printf(
                    "index: %s:   %-26s %7.2f ms, found %d%n", index.name(), question.text(), ms, answer.found());
        }
        double counts = 0;
        for (String field : COUNTED) {
            counts += median(() -> index.values(QUESTIONS.get(1), field));
        }
        System.out.printf("index: %s:   six counts of \"20m mode:cw\" %.1f ms%n", index.name(), counts);
        List<Entry> later = entries(CONTACTS, CONTACTS + TRIES + 5, entities);
        int[] next = {0};
        double added = median(() -> {
            index.add(later.subList(next[0], ++next[0]));
            return index.search(QUESTIONS.get(2));
        });
        System.out.printf("index: %s:   one more contact, then searched for %.2f ms%n", index.name(), added);
    }

    private static List<Entry> entries(int from, int until, Entities entities) throws Exception {
        List<Entry> entries = new ArrayList<>();
        AdiReader reader = new AdiReader(new ByteArrayInputStream(LongLog.adi(from, until)));
        int id = from;
        for (AdifRecord record = reader.next(); record != null; record = reader.next()) {
            if (ContactAdif.read(record.fields(), new Call("CU9QYB")) instanceof Reading.Readable readable) {
                entries.add(Entry.of(++id, readable.contact(), entities));
            }
        }
        entries.sort((a, b) -> Long.compare(a.startSecond(), b.startSecond()));
        return entries;
    }

    private interface Asked {
        Object ask() throws Exception;
    }

    private static double median(Asked asked) throws Exception {
        double[] times = new double[TRIES];
        for (int i = 0; i < TRIES; i++) {
            long start = System.nanoTime();
            asked.ask();
            times[i] = (System.nanoTime() - start) / 1e6;
        }
        Arrays.sort(times);
        return times[TRIES / 2];
    }

    private static long used() throws InterruptedException {
        for (int i = 0; i < 3; i++) {
            System.gc();
        }
        return Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory();
    }
}
