package yokebar.app.station.profile;

import java.time.DateTimeException;
import java.time.ZoneId;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.band.Region;
import yokebar.core.basics.channel.Channels;
import yokebar.core.sources.radio.RadioMode;
import yokebar.links.sources.clock.TimeServer;

/**
 * How the station likes things. As a draft, what is null stays as it is.
 *
 * @param bandsInUse ADIF names of the bands that get a button
 * @param modesInUse labels of the radio modes that get a button
 * @param miles whether distances are in miles rather than km
 * @param secondClock an IANA time zone; empty for the browser's own
 * @param channels known repeaters and satellites, one a line as {@link Channels} reads them
 * @param timeServer host, or host and port; empty for no check of the clock
 */
public record Preferences(
        @Nullable Region region,
        @Nullable List<String> bandsInUse,
        @Nullable List<String> modesInUse,
        @Nullable Boolean miles,
        @Nullable DateForm dateForm,
        @Nullable String secondClock,
        @Nullable String timeServer,
        @Nullable String channels) {

    private static final int LONGEST_CHANNELS = 4000;

    static Preferences of(StationRow row) {
        return new Preferences(
                row.region,
                list(row.bandsInUse),
                list(row.modesInUse),
                row.miles,
                row.dateForm,
                row.secondClock == null ? "" : row.secondClock,
                row.timeServer == null ? "" : row.timeServer,
                row.channels == null ? "" : row.channels);
    }

    /** Where repeaters and satellites carry the signal. */
    public Channels knownChannels() {
        return channels == null ? Channels.NONE : Channels.read(channels);
    }

    void fill(StationRow row) {
        row.region = region == null ? row.region : region;
        if (bandsInUse != null) {
            row.bandsInUse = known("bandsInUse", bandsInUse, name -> Band.named(name) != null, "band");
        }
        if (modesInUse != null) {
            row.modesInUse =
                    known("modesInUse", modesInUse, name -> RadioMode.labelled(name) != null, "mode of a radio");
        }
        row.miles = miles == null ? row.miles : miles;
        row.dateForm = dateForm == null ? row.dateForm : dateForm;
        if (secondClock != null) {
            row.secondClock = zone(secondClock.strip());
        }
        if (timeServer != null) {
            row.timeServer = server(timeServer.strip());
        }
        if (channels != null) {
            row.channels = checked(channels.strip());
        }
    }

    private static @Nullable String checked(String channels) {
        try {
            Channels.read(channels);
        } catch (IllegalArgumentException e) {
            throw new Rejection("channels", String.valueOf(e.getMessage()));
        }
        if (channels.length() > LONGEST_CHANNELS) {
            throw new Rejection("channels", "That is more than " + LONGEST_CHANNELS + " characters.");
        }
        return channels.isEmpty() ? null : channels;
    }

    private static List<String> list(String text) {
        return text.isEmpty() ? List.of() : List.of(text.split(","));
    }

    private static String known(String field, List<String> names, Predicate<String> exists, String what) {
        Set<String> tidy = new LinkedHashSet<>();
        for (String name : names) {
            if (!exists.test(name)) {
                throw new Rejection(field, "There is no " + what + " \"" + name + "\".");
            }
            tidy.add(name);
        }
        return String.join(",", tidy);
    }

    private static @Nullable String zone(String text) {
        if (text.isEmpty()) {
            return null;
        }
        try {
            return ZoneId.of(text).getId();
        } catch (DateTimeException e) {
            throw new Rejection(
                    "secondClock",
                    "\"" + text + "\" is not a time zone; it looks like Atlantic/Azores or Europe/Berlin.");
        }
    }

    private static @Nullable String server(String text) {
        if (text.isEmpty()) {
            return null;
        }
        try {
            return TimeServer.of(text).words();
        } catch (IllegalArgumentException e) {
            throw new Rejection("timeServer", String.valueOf(e.getMessage()));
        }
    }
}
