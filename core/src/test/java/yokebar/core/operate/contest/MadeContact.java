package yokebar.core.operate.contest;

import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.geo.Locator;
import yokebar.core.basics.geo.Point;
import yokebar.core.basics.mode.Modes;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.Contact;

/** A contact as somebody made it, with what was received word for word; not how the rules see it. */
record MadeContact(long id, Instant start, String call, Band band, long hz, String mode, List<String> received) {
    private static final List<String> PREFIXES = List.of(
            "CU2", "CU7", "CT1", "EA8", "DL3", "OZ1", "F5", "W1", "W6", "K9", "VE3", "ZP5", "PY2", "JA1", "VK3", "ZL2",
            "ZS6");
    private static final List<String> MODES = List.of("CW", "SSB", "RTTY", "FT8");

    static final String OWN_CALL = "CU9QYB";
    static final Locator OWN_LOCATOR = new Locator("HM49kq");

    /** How somebody at a station of the world would answer in one contest. */
    interface Answer {
        List<String> of(Random random, String call, long id);
    }

    /** One of few stations, so that some are worked again, at any moment from a day before to a day after. */
    static MadeContact random(Random random, long id, Instant from, Instant until, List<Band> bands, Answer answer) {
        long seconds = until.getEpochSecond() - from.getEpochSecond();
        long early = Math.max(1, seconds / 20);
        String call = PREFIXES.get(random.nextInt(PREFIXES.size())) + "Q" + letter(random, 5) + letter(random, 5);
        Instant start = from.plusSeconds(random.nextLong(seconds + 2 * early) - early);
        // For most of an hour on one band, and for most of a minute in one place.
        long hour = start.getEpochSecond() / 3600;
        Band band = bands.get((int) ((random.nextInt(12) == 0 ? random.nextInt(99) : hour) % bands.size()));
        band = random.nextInt(30) == 0 ? Band.M17 : band;
        return new MadeContact(
                id,
                start,
                random.nextInt(40) == 0 ? "CU9QLZ" : call,
                band,
                band.lowHz() + 10_000 + start.getEpochSecond() / 50 % 20 * 400,
                MODES.get(random.nextInt(MODES.size())),
                answer.of(random, call, id));
    }

    static char letter(Random random, int of) {
        return (char) ('A' + random.nextInt(of));
    }

    /** Somewhere on the earth, most often near. */
    static String locator(Random random) {
        boolean near = random.nextInt(3) > 0;
        double latitude = near ? 36 + random.nextDouble() * 6 : random.nextDouble() * 120 - 60;
        double longitude = near ? -32 + random.nextDouble() * 10 : random.nextDouble() * 360 - 180;
        return Locator.of(new Point(latitude, longitude), 6).text();
    }

    /** As it stands in the log. */
    Contact logged() {
        AdifFields.Builder fields = new AdifFields.Builder();
        int words = 0;
        if (received.get(0).matches("5\\d\\d?")) {
            fields.put("RST_RCVD", received.get(0));
            words = 1;
        }
        fields.put("STATE", state());
        fields.put("SRX_STRING", String.join(" ", received.subList(words, received.size())));
        return new Contact(
                new Call(OWN_CALL),
                new Call(call),
                start,
                true,
                null,
                band,
                hz,
                Objects.requireNonNull(Modes.read(mode, null)),
                null,
                fields.build());
    }

    /** Of stations in the United States, half of which say it. */
    @Nullable
    String state() {
        return !call.matches("[KW].*") || id % 2 == 0 ? null : id % 3 == 0 ? "CA" : "NY";
    }

    /** The last word that was received, or null when there was only one. */
    @Nullable
    String last() {
        return received.size() < 2 ? null : received.get(received.size() - 1);
    }
}
