package yokebar.standins.program;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import yokebar.standins.world.HfBand;
import yokebar.standins.world.Station;

/** A contact as the digital-mode program writes it. */
final class ProgramContact {
    private static final DateTimeFormatter DATE =
            DateTimeFormatter.ofPattern("yyyyMMdd").withZone(ZoneOffset.UTC);
    private static final DateTimeFormatter TIME =
            DateTimeFormatter.ofPattern("HHmmss").withZone(ZoneOffset.UTC);

    /** Fields that say who the other station is. */
    static final Set<String> ABOUT_THE_OTHER = Set.of("NAME", "COUNTRY", "DXCC", "CONT", "CQZ", "GRIDSQUARE");

    /** Band, dial frequency in Hz and how often it is used. */
    private enum Channel {
        FORTY("40m", 7_074_000, 3),
        THIRTY("30m", 10_136_000, 2),
        TWENTY("20m", 14_074_000, 6),
        SEVENTEEN("17m", 18_100_000, 3),
        FIFTEEN("15m", 21_074_000, 4),
        TEN("10m", 28_074_000, 3);

        private final String band;
        private final long dialHz;
        private final int weight;

        Channel(String band, long dialHz, int weight) {
            this.band = band;
            this.dialHz = dialHz;
            this.weight = weight;
        }
    }

    private ProgramContact() {}

    static Map<String, String> make(String ownCall, String ownLocator, Station other, Instant end, Random random) {
        Channel channel = pick(random);
        Instant start = end.minusSeconds(45 + 15L * random.nextInt(4));
        long hz = channel.dialHz + 200 + random.nextInt(2500);
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("CALL", other.call());
        fields.put("GRIDSQUARE", other.locator().substring(0, 4));
        fields.put("MODE", "FT8");
        fields.put("RST_SENT", report(random));
        fields.put("RST_RCVD", report(random));
        fields.put("QSO_DATE", DATE.format(start));
        fields.put("TIME_ON", TIME.format(start));
        fields.put("QSO_DATE_OFF", DATE.format(end));
        fields.put("TIME_OFF", TIME.format(end));
        fields.put("BAND", channel.band);
        fields.put("FREQ", megahertz(hz));
        fields.put("STATION_CALLSIGN", ownCall);
        fields.put("MY_GRIDSQUARE", ownLocator);
        fields.put("TX_PWR", "50");
        fields.put("NAME", other.name());
        fields.put("COUNTRY", other.country());
        fields.put("DXCC", String.valueOf(other.entityCode()));
        fields.put("CONT", other.continent());
        fields.put("CQZ", String.valueOf(other.cqZone()));
        fields.put("APP_WAVELET_DT", "%.1f".formatted(random.nextDouble() - 0.5));
        return fields;
    }

    /** As made on a radio with its dial there; off the bands the program's own idea of its frequency stands. */
    static void onRadio(Map<String, String> fields, long dialHz, Random random) {
        long hz = dialHz + 200 + random.nextInt(2500);
        HfBand.of(hz).ifPresent(band -> {
            fields.put("BAND", band.label());
            fields.put("FREQ", megahertz(hz));
            fields.remove("TX_PWR");
        });
    }

    private static String megahertz(long hz) {
        return "%d.%06d".formatted(hz / 1_000_000, hz % 1_000_000);
    }

    static String text(Map<String, String> fields) {
        StringBuilder out = new StringBuilder();
        fields.forEach((name, value) -> {
            if (!value.isEmpty()) {
                int bytes = value.getBytes(StandardCharsets.UTF_8).length;
                out.append('<')
                        .append(name.toLowerCase(java.util.Locale.ROOT))
                        .append(':')
                        .append(bytes)
                        .append('>');
                out.append(value).append(' ');
            }
        });
        return out.append("<eor>").toString();
    }

    private static Channel pick(Random random) {
        int total = 0;
        for (Channel channel : Channel.values()) {
            total += channel.weight;
        }
        int left = random.nextInt(total);
        for (Channel channel : Channel.values()) {
            left -= channel.weight;
            if (left < 0) {
                return channel;
            }
        }
        throw new IllegalStateException("weights do not add up");
    }

    private static String report(Random random) {
        int db = random.nextInt(34) - 24;
        return (db < 0 ? "-" : "+") + "%02d".formatted(Math.abs(db));
    }
}
