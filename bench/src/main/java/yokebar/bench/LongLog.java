package yokebar.bench;

import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.Random;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.entity.Entities;
import yokebar.core.basics.entity.Entity;
import yokebar.core.basics.entity.Situation;

/** A made-up log of decades: some stations met often, most once, from all over the world; the same every time. */
public final class LongLog {
    private static final String[] PREFIXES = {
        "OZ", "SM", "LA", "DL", "EA", "ZP", "PY", "JA", "VK", "K", "W", "N", "G", "F", "I", "OH", "SP", "OK", "HB",
        "CT", "CU", "EI", "GM", "ON", "PA", "LZ", "YO", "UA", "UR", "LU", "CX", "CE", "HK", "YV", "ZS", "9A", "S5",
        "YU", "ZL", "VE", "XE", "TI", "HP", "KP", "HI", "JH", "JR", "BY", "VU", "HS", "YB", "DU", "9M", "4X", "SU",
        "CN", "EA8", "3B", "5B", "SV", "TA", "A6", "HZ", "UN", "ES", "LY", "YL", "TF", "OX", "KL"
    };
    private static final String[] CHANNELS = {
        "160m 1.83", "80m 3.52", "80m 3.75", "40m 7.01", "40m 7.07", "40m 7.12", "30m 10.10", "20m 14.0", "20m 14.07",
        "20m 14.2", "17m 18.1", "15m 21.0", "15m 21.2", "12m 24.9", "10m 28.0", "10m 28.4", "6m 50.1", "2m 145.6"
    };
    private static final String[] MODES = {"CW", "CW", "SSB", "SSB", "USB", "FT8", "FT8", "FT8", "RTTY", "FT4", "PSK31"
    };
    private static final List<String> NAMES = List.of(
            "Ana", "Bo", "Carla", "Dimas", "Elif", "Fumiko", "Goran", "Hanne", "Ivo", "Jonas", "Kaija", "Luis",
            "Mirela", "Nils", "Olga", "Pedro", "Quim", "Rosa", "Sven", "Tomoko", "Ulla", "Vito", "Wanda", "Xana",
            "Yusuf", "Zoë");
    private static final String[] TOWNS = {
        "Harbour", "Hill", "Mill", "Lake", "Ford", "Field", "Bridge", "Cape", "Bay", "Moor", "Wood", "Spring", "Market"
    };
    private static final LocalDateTime FIRST = LocalDateTime.of(1991, 3, 1, 6, 0);
    private static final DateTimeFormatter DAY = DateTimeFormatter.BASIC_ISO_DATE;
    private static final DateTimeFormatter TIME = DateTimeFormatter.ofPattern("HHmmss");
    private static final int SECONDS_APART = 1100;

    private LongLog() {}

    /** Contacts number from to until as ADI text; no two are the same contact. */
    public static byte[] adi(int from, int until) {
        StringBuilder text = new StringBuilder((until - from) * 420).append("Long log\n<ADIF_VER:5>3.1.4 <EOH>\n");
        for (int i = from; i < until; i++) {
            contact(text, i);
        }
        return text.toString().getBytes(StandardCharsets.UTF_8);
    }

    private static void contact(StringBuilder text, int i) {
        Random random = new Random(i * 7919L);
        LocalDateTime start = FIRST.plusSeconds((long) i * SECONDS_APART + random.nextInt(600));
        // A quarter of the contacts are with some two thousand regulars.
        int station = random.nextInt(4) == 0 ? random.nextInt(2000) : random.nextInt(600_000);
        String call = call(station);
        String[] channel = CHANNELS[random.nextInt(CHANNELS.length)].split(" ");
        String mode = channel[0].equals("2m") ? "FM" : MODES[random.nextInt(MODES.length)];
        boolean key = mode.equals("CW") || mode.equals("RTTY") || mode.startsWith("PSK");
        String report =
                key ? "5" + (5 + random.nextInt(5)) + "9" : mode.startsWith("FT") ? "-1" + random.nextInt(10) : "59";
        field(text, "CALL", call);
        field(text, "QSO_DATE", DAY.format(start));
        field(text, "TIME_ON", TIME.format(start));
        field(text, "BAND", channel[0]);
        field(text, "FREQ", channel[1] + "%03d".formatted(random.nextInt(1000)));
        field(text, "MODE", mode);
        field(text, "RST_SENT", report);
        field(text, "RST_RCVD", key ? "599" : report);
        field(text, "STATION_CALLSIGN", "CU9QYB");
        field(text, "OPERATOR", random.nextInt(5) == 0 ? "CU9QYD" : "CU9QYB");
        field(text, "MY_GRIDSQUARE", "HM49kq");
        Random own = new Random(station);
        field(
                text,
                "GRIDSQUARE",
                "" + (char) ('A' + own.nextInt(18)) + (char) ('A' + own.nextInt(18)) + own.nextInt(100) / 10
                        + own.nextInt(10) + (char) ('a' + own.nextInt(24)) + (char) ('a' + own.nextInt(24)));
        field(text, "NAME", NAMES.get(own.nextInt(NAMES.size())));
        field(
                text,
                "QTH",
                TOWNS[own.nextInt(TOWNS.length)] + " " + TOWNS[own.nextInt(TOWNS.length)] + " " + own.nextInt(40));
        Entities.shipped()
                .of(new Call(call), start.toLocalDate())
                .map(Situation::entity)
                .ifPresent(e -> entity(text, e));
        field(text, "TX_PWR", random.nextInt(6) == 0 ? "5" : "100");
        if (channel[0].equals("2m")) {
            field(text, "PROP_MODE", "RPT");
        }
        if (random.nextInt(3) == 0) {
            field(text, "COMMENT", "Heard number " + random.nextInt(50_000) + ", rig and beam");
        }
        if (random.nextInt(20) == 0) {
            field(text, "IOTA", "EU-" + "%03d".formatted(random.nextInt(190)));
        }
        text.append("<EOR>\n");
    }

    private static void entity(StringBuilder text, Entity entity) {
        field(text, "COUNTRY", entity.name());
        field(text, "DXCC", Integer.toString(entity.number()));
        field(text, "CONT", entity.continent());
        field(text, "CQZ", Integer.toString(entity.cqZone()));
        if (entity.number() == 291) {
            field(text, "STATE", List.of("MA", "CA", "TX", "OH", "WA", "FL").get(text.length() % 6));
        }
    }

    static String call(int station) {
        String prefix = PREFIXES[station % PREFIXES.length];
        int rest = station / PREFIXES.length;
        return prefix + rest % 10 + "Q" + (char) ('A' + rest / 10 % 26) + (char) ('A' + rest / 260 % 26);
    }

    static LocalDateTime start(int contact) {
        return FIRST.plusSeconds((long) contact * SECONDS_APART);
    }

    private static void field(StringBuilder text, String name, String value) {
        int bytes = value.getBytes(StandardCharsets.UTF_8).length;
        text.append('<')
                .append(name)
                .append(':')
                .append(bytes)
                .append('>')
                .append(value)
                .append(' ');
    }
}
