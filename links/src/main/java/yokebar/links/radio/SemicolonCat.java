package yokebar.links.radio;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import yokebar.core.radio.RadioCommand;
import yokebar.core.radio.RadioMode;
import yokebar.core.radio.RadioReport;
import yokebar.core.radio.RadioState;
import yokebar.core.radio.Vfo;

/**
 * Semicolon CAT: ASCII sentences of two letters and figures, ended by a semicolon, as several makers' radios share them. A
 * question is a sentence without figures; the answer has the same letters.
 */
public final class SemicolonCat implements RadioDialect {
    private static final int LONGEST_SENTENCE = 128;
    /** Text sent by one {@code KY} sentence. */
    private static final int KEYED_CHARACTERS = 24;

    private static final int IF_LENGTH = 37;
    private static final int MOST_REFUSALS = 3;

    private final StringBuilder sentence = new StringBuilder();
    private @Nullable RadioMode plainMode;
    private boolean data;
    /** How often each question was refused. What a radio keeps refusing is not asked again. */
    private final Map<String, Integer> refusals = new HashMap<>();

    private String lastQuestion = "";

    @Override
    public List<byte[]> greeting() {
        return ask("AI2", "ID", "FA", "FB", "PC", "DA");
    }

    @Override
    public List<byte[]> quickQuestions() {
        return ask("IF", "SM0");
    }

    @Override
    public List<byte[]> slowQuestions() {
        return ask("FA", "FB", "PC", "DA", "FW");
    }

    @Override
    public List<byte[]> say(RadioCommand command) {
        if (command instanceof RadioCommand.Tune c) {
            return ask((c.vfo() == Vfo.A ? "FA" : "FB") + String.format(Locale.ROOT, "%011d", c.hz()));
        }
        if (command instanceof RadioCommand.SetMode c) {
            return setMode(c.mode());
        }
        if (command instanceof RadioCommand.SetSplit c) {
            return ask(c.on() ? "FT1" : "FT0", "IF");
        }
        if (command instanceof RadioCommand.Receive c) {
            return ask(c.vfo() == Vfo.A ? "FR0" : "FR1", "IF");
        }
        if (command instanceof RadioCommand.Key c) {
            return ask(c.on() ? "TX0" : "RX", "IF");
        }
        if (command instanceof RadioCommand.SetPower c) {
            return ask(String.format(Locale.ROOT, "PC%03d", c.watts()), "PC");
        }
        if (command instanceof RadioCommand.SendText c) {
            return keyed(c.text());
        }
        return List.of();
    }

    private List<byte[]> setMode(RadioMode mode) {
        String figure = figure(mode);
        boolean withData = mode != mode.withoutData();
        return unknown("DA") ? ask("MD" + figure, "IF") : ask("MD" + figure, withData ? "DA1" : "DA0", "IF", "DA");
    }

    private List<byte[]> keyed(String text) {
        String tidy = text.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9 /?.,=+-]", "");
        List<byte[]> parts = new ArrayList<>();
        for (int from = 0; from < tidy.length(); from += KEYED_CHARACTERS) {
            String part = tidy.substring(from, Math.min(tidy.length(), from + KEYED_CHARACTERS));
            parts.addAll(ask("KY " + String.format(Locale.ROOT, "%-24s", part)));
        }
        return parts;
    }

    private List<byte[]> ask(String... sentences) {
        List<byte[]> all = new ArrayList<>(sentences.length);
        for (String one : sentences) {
            if (!unknown(one)) {
                all.add((one + ";").getBytes(StandardCharsets.US_ASCII));
            }
        }
        return all;
    }

    private boolean unknown(String question) {
        return refusals.getOrDefault(question, 0) >= MOST_REFUSALS;
    }

    /** To be told what is asked, since the answer to what a radio does not know does not say what it was. */
    @Override
    public void asked(byte[] question) {
        lastQuestion = new String(question, 0, question.length - 1, StandardCharsets.US_ASCII);
    }

    @Override
    public int listen(byte[] bytes, int length, Consumer<RadioReport> reports) {
        int answers = 0;
        for (int i = 0; i < length; i++) {
            char c = (char) (bytes[i] & 0xff);
            if (c == ';') {
                answers += sentence(sentence.toString(), reports) ? 1 : 0;
                sentence.setLength(0);
            } else if (c < ' ' || c > '~' || sentence.length() >= LONGEST_SENTENCE) {
                reports.accept(new RadioReport.Garbage(sentence.length() + 1));
                sentence.setLength(0);
            } else {
                sentence.append(c);
            }
        }
        return answers;
    }

    /** @return whether it was an answer */
    private boolean sentence(String text, Consumer<RadioReport> reports) {
        if (text.equals("?")) {
            // Commands with figures are many and each is refused for its own reason; only questions are remembered.
            if (lastQuestion.length() <= 3) {
                refusals.merge(lastQuestion, 1, Integer::sum);
            }
            reports.accept(new RadioReport.Refused(lastQuestion));
            return true;
        }
        if (text.equals("E") || text.equals("O")) {
            return true;
        }
        boolean known = text.length() >= 2 && read(text.substring(0, 2), text.substring(2), reports);
        if (!known) {
            reports.accept(new RadioReport.Garbage(text.length() + 1));
        }
        return known;
    }

    private boolean read(String letters, String rest, Consumer<RadioReport> reports) {
        switch (letters) {
            case "FA", "FB" -> {
                return frequency(letters.equals("FA") ? Vfo.A : Vfo.B, rest, reports);
            }
            case "IF" -> {
                return summary(rest, reports);
            }
            case "MD" -> {
                return mode(rest, reports);
            }
            case "DA" -> {
                return data(rest, reports);
            }
            case "PC" -> {
                return number(rest, 3, value -> reports.accept(new RadioReport.PowerIs(value)));
            }
            case "SM" -> {
                return rest.length() == 5
                        && number(
                                rest.substring(1),
                                4,
                                value -> reports.accept(new RadioReport.Meter(Math.min(value, RadioState.METER_FULL))));
            }
            case "FW" -> {
                return number(rest, 4, value -> reports.accept(new RadioReport.Bandwidth(value)));
            }
            case "FR" -> {
                return number(rest, 1, value -> reports.accept(new RadioReport.Receiving(value == 1 ? Vfo.B : Vfo.A)));
            }
            case "FT" -> {
                return number(rest, 1, value -> {});
            }
            case "TX" -> {
                reports.accept(new RadioReport.Transmitting(true));
                return true;
            }
            case "RX" -> {
                reports.accept(new RadioReport.Transmitting(false));
                return true;
            }
            case "AI" -> {
                return number(rest, 1, value -> {});
            }
            case "ID" -> {
                reports.accept(new RadioReport.Identity(rest));
                return number(rest, 3, value -> {});
            }
            default -> {
                return false;
            }
        }
    }

    /** The answer to {@code IF}: frequency, whether it transmits, mode, VFO and split at fixed places. */
    private boolean summary(String rest, Consumer<RadioReport> reports) {
        if (rest.length() != IF_LENGTH - 2) {
            return false;
        }
        Long hz = hertz(rest.substring(0, 11));
        char transmitting = rest.charAt(26);
        char vfo = rest.charAt(28);
        char split = rest.charAt(30);
        if (hz == null
                || transmitting < '0'
                || transmitting > '1'
                || vfo < '0'
                || vfo > '2'
                || split < '0'
                || split > '1') {
            return false;
        }
        if (!mode(rest.substring(27, 28), reports)) {
            return false;
        }
        Vfo which = vfo == '1' ? Vfo.B : Vfo.A;
        reports.accept(new RadioReport.Receiving(which));
        reports.accept(new RadioReport.Frequency(which, hz));
        reports.accept(new RadioReport.Transmitting(transmitting == '1'));
        reports.accept(new RadioReport.SplitIs(split == '1'));
        return true;
    }

    private static boolean frequency(Vfo vfo, String rest, Consumer<RadioReport> reports) {
        Long hz = rest.length() == 11 ? hertz(rest) : null;
        if (hz == null) {
            return false;
        }
        reports.accept(new RadioReport.Frequency(vfo, hz));
        return true;
    }

    private boolean mode(String figure, Consumer<RadioReport> reports) {
        if (figure.length() != 1) {
            return false;
        }
        RadioMode read =
                switch (figure.charAt(0)) {
                    case '1' -> RadioMode.LSB;
                    case '2' -> RadioMode.USB;
                    case '3' -> RadioMode.CW;
                    case '4' -> RadioMode.FM;
                    case '5' -> RadioMode.AM;
                    case '6' -> RadioMode.RTTY;
                    case '7' -> RadioMode.CW_REVERSE;
                    case '9' -> RadioMode.RTTY_REVERSE;
                    default -> null;
                };
        if (read == null) {
            return false;
        }
        plainMode = read;
        reportMode(reports);
        return true;
    }

    private boolean data(String rest, Consumer<RadioReport> reports) {
        if (!rest.equals("0") && !rest.equals("1")) {
            return false;
        }
        data = rest.equals("1");
        reportMode(reports);
        return true;
    }

    private void reportMode(Consumer<RadioReport> reports) {
        RadioMode mode = plainMode;
        if (mode != null) {
            reports.accept(new RadioReport.ModeIs(data ? mode.withData() : mode));
        }
    }

    private static String figure(RadioMode mode) {
        return switch (mode) {
            case LSB, DATA_L -> "1";
            case USB, DATA_U -> "2";
            case CW -> "3";
            case FM, DATA_FM -> "4";
            case AM -> "5";
            case RTTY -> "6";
            case CW_REVERSE -> "7";
            case RTTY_REVERSE -> "9";
        };
    }

    private interface NumberTaker {
        void take(int value);
    }

    private static boolean number(String text, int digits, NumberTaker taker) {
        if (text.length() != digits || !allDigits(text)) {
            return false;
        }
        taker.take(Integer.parseInt(text));
        return true;
    }

    private static @Nullable Long hertz(String text) {
        return allDigits(text) ? Long.valueOf(text) : null;
    }

    private static boolean allDigits(String text) {
        return text.chars().allMatch(c -> c >= '0' && c <= '9');
    }
}
