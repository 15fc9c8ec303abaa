package yokebar.core.operate.contest;

import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.log.cabrillo.CabrilloBands;

/** The log of a contest as Cabrillo 3.0, as adjudicators take it. */
public final class ContestCabrillo {
    private static final DateTimeFormatter DATE_AND_TIME =
            DateTimeFormatter.ofPattern("yyyy-MM-dd HHmm").withZone(ZoneOffset.UTC);
    private static final int CALL_WIDTH = 13;
    private static final String NOTHING = "-";

    private ContestCabrillo() {}

    /**
     * One contact.
     *
     * @param frequencyHz null when only the band is known
     * @param fm whether it was made in FM; other voice modes are one to the adjudicator
     * @param sent what was sent, by the names of the exchange's fields
     * @param received likewise
     */
    public record Row(
            Instant start,
            Band band,
            @Nullable Long frequencyHz,
            ContestMode mode,
            boolean fm,
            String ownCall,
            Map<String, String> sent,
            String call,
            Map<String, String> received) {}

    /**
     * @param header further lines of the head, each a name such as {@code CATEGORY-OPERATOR} and what it says
     * @param rows one for each contact; where a field was not sent or not received a hyphen is written
     */
    public static String text(ContestDefinition definition, List<Map.Entry<String, String>> header, List<Row> rows) {
        StringBuilder text = new StringBuilder("START-OF-LOG: 3.0\n");
        text.append("CONTEST: ").append(definition.cabrilloName()).append('\n');
        header.forEach(line ->
                text.append(line.getKey()).append(": ").append(line.getValue()).append('\n'));
        text.append("CREATED-BY: Yokebar\n");
        for (Row row : rows) {
            text.append(line(row, definition.exchange())).append('\n');
        }
        return text.append("END-OF-LOG:\n").toString();
    }

    private static String line(Row row, List<ExchangeField> exchange) {
        StringBuilder line = new StringBuilder("QSO: ");
        line.append(String.format(Locale.ROOT, "%5s ", frequency(row)));
        line.append(row.fm() ? "FM" : row.mode().cabrillo()).append(' ');
        line.append(DATE_AND_TIME.format(row.start())).append(' ');
        line.append(padded(row.ownCall(), CALL_WIDTH)).append(values(row.sent(), exchange));
        line.append(padded(row.call(), CALL_WIDTH)).append(values(row.received(), exchange));
        return line.toString().stripTrailing();
    }

    private static String values(Map<String, String> values, List<ExchangeField> fields) {
        StringBuilder text = new StringBuilder();
        fields.forEach(field -> text.append(padded(values.getOrDefault(field.name(), NOTHING), field.width())));
        return text.toString();
    }

    private static String padded(String text, int width) {
        return String.format(Locale.ROOT, "%-" + width + "s ", text);
    }

    /** Whole kHz on short wave; the lower limit of the band where nothing else is known. */
    private static String frequency(Row row) {
        String band = CabrilloBands.name(row.band());
        long hz = row.frequencyHz() == null ? row.band().lowHz() : row.frequencyHz();
        return band == null ? Long.toString(hz / 1000) : band;
    }
}
