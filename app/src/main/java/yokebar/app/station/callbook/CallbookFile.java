package yokebar.app.station.callbook;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.apache.commons.csv.CSVException;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.jspecify.annotations.Nullable;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.call.CallParts;
import yokebar.core.basics.geo.Locator;
import yokebar.core.log.adif.AdiReader;
import yokebar.core.log.adif.AdifRecord;

/** Reads a callbook from a file: CSV with a line of column names, or ADI records. Of several lines for a call the last stands. */
final class CallbookFile {
    private static final int LONGEST = 80;
    private static final int MAX_STATIONS = 3_000_000;
    private static final int MARK = 4096;
    /** The names a column may have, in lower case. */
    private static final Map<String, Set<String>> COLUMNS = Map.of(
            "CALL", Set.of("call", "callsign", "call sign"),
            "NAME", Set.of("name", "first name", "operator"),
            "QTH", Set.of("qth", "town", "city"),
            "STATE", Set.of("state", "province"),
            "COUNTRY", Set.of("country"),
            "GRIDSQUARE", Set.of("gridsquare", "locator", "grid"));

    private final Map<String, CallbookFileEntry> entries = new LinkedHashMap<>();
    private int leftOut;

    private CallbookFile() {}

    /**
     * What a file holds.
     *
     * @param leftOut lines without a call
     */
    record Content(List<CallbookFileEntry> entries, int leftOut) {}

    static Content read(InputStream file) throws IOException {
        CallbookFile reading = new CallbookFile();
        try (BufferedInputStream in = new BufferedInputStream(file, MARK)) {
            in.mark(MARK);
            String head = new String(in.readNBytes(MARK / 2), StandardCharsets.UTF_8).toLowerCase(Locale.ROOT);
            in.reset();
            if (head.contains("<eoh>") || head.contains("<call:")) {
                reading.adi(in);
            } else {
                reading.csv(new InputStreamReader(in, StandardCharsets.UTF_8));
            }
        }
        if (reading.entries.isEmpty()) {
            throw new Rejection("file", "There is no call in it. A callbook is a CSV or an ADI file.");
        }
        return new Content(new ArrayList<>(reading.entries.values()), reading.leftOut);
    }

    private void adi(InputStream in) throws IOException {
        AdiReader reader = new AdiReader(in);
        for (AdifRecord record = reader.next(); record != null; record = reader.next()) {
            add(record.fields()::get);
        }
    }

    private void csv(Reader in) throws IOException {
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .setIgnoreEmptyLines(true)
                .setTrim(true)
                .setAllowMissingColumnNames(true)
                .get();
        try (CSVParser parser = format.parse(in)) {
            Map<String, Integer> places = places(parser.getHeaderNames());
            if (!places.containsKey("CALL")) {
                throw new Rejection(
                        "file", "Its first line must name the columns, one of them \"call\"; then come the stations.");
            }
            for (CSVRecord line : parser) {
                add(field -> {
                    Integer place = places.get(field);
                    return place == null || place >= line.size() ? null : line.get(place);
                });
            }
        } catch (CSVException | IllegalArgumentException | UncheckedIOException e) {
            String why = e.getCause() == null ? e.getMessage() : e.getCause().getMessage();
            throw new Rejection("file", "It cannot be read as CSV: " + why + ".");
        }
    }

    private static Map<String, Integer> places(List<String> names) {
        Map<String, Integer> places = new LinkedHashMap<>();
        COLUMNS.forEach((field, known) -> {
            for (int i = 0; i < names.size(); i++) {
                if (known.contains(names.get(i).replace("\uFEFF", "").toLowerCase(Locale.ROOT))) {
                    places.putIfAbsent(field, i);
                }
            }
        });
        return places;
    }

    private void add(Function<String, @Nullable String> field) {
        String text = field.apply("CALL");
        Call call = text == null ? null : Call.read(text);
        if (call == null) {
            leftOut++;
            return;
        }
        CallbookFileEntry entry = new CallbookFileEntry();
        entry.callSign = CallParts.of(call).base();
        entry.name = tidy(field.apply("NAME"));
        entry.town = tidy(field.apply("QTH"));
        entry.state = tidy(field.apply("STATE"));
        entry.country = tidy(field.apply("COUNTRY"));
        String locator = tidy(field.apply("GRIDSQUARE"));
        Locator read = locator == null ? null : Locator.read(locator);
        entry.locator = read == null ? null : read.text();
        entries.put(entry.callSign, entry);
        if (entries.size() > MAX_STATIONS) {
            throw new Rejection("file", "It has more than " + MAX_STATIONS + " stations.");
        }
    }

    private static @Nullable String tidy(@Nullable String text) {
        String tidy = text == null ? "" : text.strip();
        return tidy.isEmpty() ? null : tidy.substring(0, Math.min(LONGEST, tidy.length()));
    }
}
