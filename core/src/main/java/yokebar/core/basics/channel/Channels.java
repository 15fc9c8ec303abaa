package yokebar.core.basics.channel;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import yokebar.core.basics.band.Band;
import yokebar.core.log.contact.PropagationMode;

/** The channels an operator knows, one a line: {@code 145.700 repeater Pico}, {@code 435.100-435.200 satellite LAMP-1}. */
public final class Channels {
    public static final Channels NONE = new Channels(List.of());
    private static final Pattern LINE =
            Pattern.compile("(\\d{1,6}[.,]\\d{1,6})(?:\\s*-\\s*(\\d{1,6}[.,]\\d{1,6}))?\\s+(\\p{L}+)\\s+(\\S.{0,39})");
    private static final Map<String, PropagationMode> KINDS = Map.of(
            "repeater", PropagationMode.RPT,
            "linked", PropagationMode.ECH,
            "internet", PropagationMode.IRL,
            "satellite", PropagationMode.SAT);

    private final List<Channel> all;

    private Channels(List<Channel> all) {
        this.all = all;
    }

    /**
     * @param text one channel a line, frequencies in MHz
     * @throws IllegalArgumentException naming the first line that is wrong
     */
    public static Channels read(String text) {
        List<Channel> channels = new ArrayList<>();
        int number = 0;
        for (String line : text.split("\n", -1)) {
            number++;
            if (!line.isBlank()) {
                channels.add(channel(number, line.strip()));
            }
        }
        return new Channels(List.copyOf(channels));
    }

    public List<Channel> all() {
        return all;
    }

    /** The first channel in the list that holds a frequency. */
    public Optional<Channel> at(long hz) {
        return all.stream().filter(channel -> channel.holds(hz)).findFirst();
    }

    private static Channel channel(int number, String line) {
        Matcher words = LINE.matcher(line);
        if (!words.matches()) {
            throw bad(number, line, "write it as 145.700 repeater Pico");
        }
        PropagationMode kind = KINDS.get(words.group(3).toLowerCase(Locale.ROOT));
        if (kind == null) {
            throw bad(number, line, "\"" + words.group(3) + "\" is not one of repeater, linked, internet, satellite");
        }
        long from = hz(words.group(1));
        long to = words.group(2) == null ? from : hz(words.group(2));
        if (Band.of(from) == null || Band.of(to) != Band.of(from) || to < from) {
            throw bad(number, line, "its frequencies are not on one amateur band; write them in MHz");
        }
        return new Channel(from, to, kind, words.group(4).strip());
    }

    private static long hz(String mhz) {
        return Math.round(Double.parseDouble(mhz.replace(',', '.')) * 1e6);
    }

    private static IllegalArgumentException bad(int number, String line, String why) {
        return new IllegalArgumentException("Line " + number + ", \"" + line + "\": " + why + ".");
    }
}
