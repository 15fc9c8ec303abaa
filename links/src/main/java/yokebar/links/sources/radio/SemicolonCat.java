package yokebar.links.sources.radio;

import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import yokebar.core.sources.radio.RadioCommand;
import yokebar.core.sources.radio.RadioMode;
import yokebar.core.sources.radio.RadioReport;
import yokebar.core.sources.radio.RadioState;
import yokebar.core.sources.radio.Vfo;

/**
 * Semicolon CAT: ASCII sentences of two letters and figures, ended by a semicolon, as several makers' radios share them. A
 * question is a sentence without figures; the answer has the same letters.
 */
public final class SemicolonCat implements RadioDialect {
    private static final int LONGEST_SENTENCE = 128;
    /** Text sent by one {@code KY} sentence. */
    private static final int KEYED_CHARACTERS = 24;

    private static final int IF_LENGTH = 37;
    private static final long MAX_HZ = 99_999_999_999L;
    private static final Set<String> KNOWN =
            Set.of("FA", "FB", "IF", "MD", "DA", "PC", "SM", "FW", "FR", "FT", "TX", "RX", "AI", "ID");

    private static final Question SUMMARY = Question.of("IF", sentence("IF"));
    private static final Question DATA = Question.forPart("DA", sentence("DA"), StatePart.DATA);
    private static final Question POWER = Question.forPart("PC", sentence("PC"), StatePart.POWER);
    private static final Question VFO_A = Question.of("FA", sentence("FA"));
    private static final Question VFO_B = Question.of("FB", sentence("FB"));

    private final StringBuilder sentence = new StringBuilder();
    private boolean receivesOnB;
    private boolean knowsData = true;
    private boolean knowsSummary = true;

    @Override
    public List<byte[]> greeting() {
        return List.of(sentence("AI2"));
    }

    @Override
    public List<Question> quickQuestions() {
        return List.of(
                SUMMARY,
                Question.of("SM", sentence("SM0")),
                VFO_A.inPlaceOf("IF"),
                Question.of("MD", sentence("MD")).inPlaceOf("IF"),
                Question.forPart("FR", sentence("FR"), StatePart.VFO).inPlaceOf("IF"),
                Question.forPart("FT", sentence("FT"), StatePart.SPLIT).inPlaceOf("IF"));
    }

    @Override
    public List<Question> slowQuestions() {
        return List.of(DATA, POWER, VFO_A, VFO_B, Question.of("FW", sentence("FW")), Question.of("ID", sentence("ID")));
    }

    @Override
    public long maxHz() {
        return MAX_HZ;
    }

    @Override
    public void knows(String key, boolean known) {
        if (key.equals("DA")) {
            knowsData = known;
        } else if (key.equals("IF")) {
            knowsSummary = known;
        }
    }

    @Override
    public Instruction say(RadioCommand command) {
        if (command instanceof RadioCommand.Tune c) {
            return tell(
                    c.vfo() == Vfo.A ? VFO_A : VFO_B,
                    (c.vfo() == Vfo.A ? "FA" : "FB") + String.format(Locale.ROOT, "%011d", c.hz()));
        }
        if (command instanceof RadioCommand.SetMode c) {
            return setMode(c.mode());
        }
        if (command instanceof RadioCommand.SetSplit c) {
            // FT names the VFO to transmit on, whichever is received on.
            return tell(summaryOr("FT"), c.on() != receivesOnB ? "FT1" : "FT0");
        }
        if (command instanceof RadioCommand.Receive c) {
            return tell(summaryOr("FR"), c.vfo() == Vfo.A ? "FR0" : "FR1");
        }
        if (command instanceof RadioCommand.Key c) {
            return tell(SUMMARY, c.on() ? "TX0" : "RX");
        }
        if (command instanceof RadioCommand.SetPower c) {
            return tell(POWER, String.format(Locale.ROOT, "PC%03d", c.watts()));
        }
        if (command instanceof RadioCommand.SetKeyerSpeed c) {
            return tell(SUMMARY, String.format(Locale.ROOT, "KS%03d", c.wordsPerMinute()));
        }
        if (command instanceof RadioCommand.SendText c) {
            return new Instruction(keyed(c.text()), false, SUMMARY);
        }
        return new Instruction(List.of(), false, null);
    }

    private Instruction setMode(RadioMode mode) {
        String plain = "MD" + figure(mode);
        boolean withData = mode != mode.withoutData();
        Question check = summaryOr("MD");
        return !knowsData && !withData ? tell(check, plain) : tell(check, plain, withData ? "DA1" : "DA0");
    }

    private Question summaryOr(String letters) {
        return knowsSummary ? SUMMARY : Question.of(letters, sentence(letters));
    }

    private static Instruction tell(Question check, String... sentences) {
        return new Instruction(
                Arrays.stream(sentences).map(SemicolonCat::sentence).toList(), false, check);
    }

    private static List<byte[]> keyed(String text) {
        return KeyedText.parts(text, KEYED_CHARACTERS).stream()
                .map(part -> sentence("KY " + String.format(Locale.ROOT, "%-24s", part)))
                .toList();
    }

    private static byte[] sentence(String text) {
        return (text + ";").getBytes(StandardCharsets.US_ASCII);
    }

    @Override
    public void listen(byte[] bytes, int length, Hearing hearing) {
        for (int i = 0; i < length; i++) {
            char c = (char) (bytes[i] & 0xff);
            if (c == ';') {
                sentence(sentence.toString(), hearing);
                sentence.setLength(0);
            } else if (c < ' ' || c > '~' || sentence.length() >= LONGEST_SENTENCE) {
                hearing.report(new RadioReport.Garbage(sentence.length() + 1));
                sentence.setLength(0);
            } else {
                sentence.append(c);
            }
        }
    }

    private void sentence(String text, Hearing hearing) {
        if (text.equals("?") || text.equals("E") || text.equals("O")) {
            hearing.refused();
            return;
        }
        String letters = text.length() >= 2 ? text.substring(0, 2) : "";
        if (!KNOWN.contains(letters)) {
            hearing.report(new RadioReport.Garbage(text.length() + 1));
            return;
        }
        boolean readable = read(letters, text.substring(2), hearing);
        if (readable || isPlain(text)) {
            hearing.answered(letters, readable);
        } else {
            hearing.report(new RadioReport.Garbage(text.length() + 1));
        }
    }

    /** An answer of an unusual form still consists of figures, signs and blanks behind its letters. */
    private static boolean isPlain(String text) {
        return text.substring(2).chars().allMatch(c -> c >= '0' && c <= '9' || c == ' ' || c == '+' || c == '-');
    }

    private boolean read(String letters, String rest, Hearing hearing) {
        return switch (letters) {
            case "FA" -> frequency(Vfo.A, rest, hearing);
            case "FB" -> frequency(Vfo.B, rest, hearing);
            case "IF" -> summary(rest, hearing);
            case "MD" -> rest.length() == 1 && mode(rest.charAt(0), hearing);
            case "DA" -> flag(rest, on -> hearing.report(new RadioReport.DataIs(on)));
            case "PC" -> number(rest, 3, value -> hearing.report(new RadioReport.PowerIs(value)));
            case "SM" ->
                rest.length() == 5
                        && number(
                                rest.substring(1),
                                4,
                                value -> hearing.report(new RadioReport.Meter(Math.min(value, RadioState.METER_FULL))));
            case "FW" -> number(rest, 4, value -> hearing.report(new RadioReport.Bandwidth(value)));
            case "FR" -> flag(rest, b -> receiving(b ? Vfo.B : Vfo.A, hearing));
            case "FT" -> flag(rest, b -> hearing.report(new RadioReport.SplitIs(b != receivesOnB)));
            case "TX" -> rest.length() <= 1 && report(new RadioReport.Transmitting(true), hearing);
            case "RX" -> rest.length() <= 1 && report(new RadioReport.Transmitting(false), hearing);
            case "AI" -> number(rest, 1, value -> {});
            case "ID" -> number(rest, 3, value -> hearing.report(new RadioReport.Identity(rest)));
            default -> false;
        };
    }

    private static boolean report(RadioReport report, Hearing hearing) {
        hearing.report(report);
        return true;
    }

    private void receiving(Vfo vfo, Hearing hearing) {
        receivesOnB = vfo == Vfo.B;
        hearing.report(new RadioReport.Receiving(vfo));
    }

    /** The answer to {@code IF}: frequency, whether it transmits, mode, VFO and split at fixed places. */
    private boolean summary(String rest, Hearing hearing) {
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
        Vfo which = vfo == '1' ? Vfo.B : Vfo.A;
        boolean modeKnown = mode(rest.charAt(27), hearing);
        receiving(which, hearing);
        hearing.report(new RadioReport.Frequency(which, hz));
        hearing.report(new RadioReport.Transmitting(transmitting == '1'));
        hearing.report(new RadioReport.SplitIs(split == '1'));
        return modeKnown;
    }

    private static boolean frequency(Vfo vfo, String rest, Hearing hearing) {
        Long hz = rest.length() == 11 ? hertz(rest) : null;
        return hz != null && report(new RadioReport.Frequency(vfo, hz), hearing);
    }

    /** A mode this program has no name for is reported as unknown. */
    private static boolean mode(char figure, Hearing hearing) {
        RadioMode read =
                switch (figure) {
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
        hearing.report(new RadioReport.ModeIs(read));
        return read != null;
    }

    private static boolean flag(String text, Consumer<Boolean> taker) {
        if (!text.equals("0") && !text.equals("1")) {
            return false;
        }
        taker.accept(text.equals("1"));
        return true;
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
