package yokebar.links.share;

import java.util.Locale;
import org.jspecify.annotations.Nullable;
import yokebar.core.radio.RadioCommand;
import yokebar.core.radio.RadioMode;
import yokebar.core.radio.RadioState;
import yokebar.core.radio.Vfo;

/**
 * The radio's side of semicolon CAT for one program: sentences to answers, from what the radio last reported. A frequency or
 * mode that was just set is given back as set until the radio has had time to report it.
 */
final class ShareSentences {
    static final String REFUSED = "?;";
    /** Three figures. */
    private static final int MOST_WATTS = 999;

    private static final long SETTLES_NANOS = 700_000_000L;

    private final SharedRadio radio;
    private final KeyOwner key;
    private @Nullable Long wantedA;
    private @Nullable Long wantedB;
    private long wantedSince;
    private @Nullable RadioMode wantedMode;
    private long modeWantedSince;
    private boolean pushes;

    ShareSentences(SharedRadio radio, KeyOwner key) {
        this.radio = radio;
        this.key = key;
    }

    /** Whether the program wants to be told of changes. */
    boolean pushes() {
        return pushes;
    }

    /** What to say when the radio moved. */
    String news() {
        RadioState state = radio.state();
        return state.frequencyHz() == null ? "" : frequency(Vfo.A) + frequency(Vfo.B) + summary(state);
    }

    /** @param sentence without its semicolon */
    String answer(String sentence) {
        if (sentence.length() < 2) {
            return REFUSED;
        }
        String letters = sentence.substring(0, 2).toUpperCase(Locale.ROOT);
        String rest = sentence.substring(2);
        try {
            return rest.isEmpty() && !letters.equals("TX") && !letters.equals("RX")
                    ? said(letters)
                    : letters.equals("SM") ? meter() : done(letters, rest);
        } catch (NumberFormatException e) {
            return REFUSED;
        }
    }

    private String said(String letters) {
        RadioState state = radio.state();
        if (letters.equals("ID")) {
            return "ID019;";
        }
        if (letters.equals("AI")) {
            return pushes ? "AI2;" : "AI0;";
        }
        if (letters.equals("PS")) {
            return state.frequencyHz() == null ? "PS0;" : "PS1;";
        }
        if (state.frequencyHz() == null) {
            return REFUSED;
        }
        return switch (letters) {
            case "FA" -> frequency(Vfo.A);
            case "FB" -> frequency(Vfo.B);
            case "IF" -> summary(state);
            case "MD" -> "MD" + figure(mode()) + ";";
            case "DA" -> isData(mode()) ? "DA1;" : "DA0;";
            case "FR" -> state.vfo() == Vfo.A ? "FR0;" : "FR1;";
            case "FT" -> (state.vfo() == Vfo.B) != state.split() ? "FT1;" : "FT0;";
            case "PC" ->
                state.powerW() == null
                        ? REFUSED
                        : String.format(Locale.ROOT, "PC%03d;", Math.min(MOST_WATTS, state.powerW()));
            case "FW" ->
                state.bandwidthHz() == null ? REFUSED : String.format(Locale.ROOT, "FW%04d;", state.bandwidthHz());
            case "SM" -> meter();
            default -> REFUSED;
        };
    }

    private String done(String letters, String rest) {
        RadioState state = radio.state();
        if (letters.equals("AI")) {
            pushes = !rest.equals("0");
            return "";
        }
        if (state.frequencyHz() == null) {
            return REFUSED;
        }
        return switch (letters) {
            case "FA" -> tune(Vfo.A, rest);
            case "FB" -> tune(Vfo.B, rest);
            case "MD" -> setMode(rest);
            case "DA" -> setData(rest.equals("1"));
            case "PC" -> setPower(rest);
            case "FR" -> tell(new RadioCommand.Receive(rest.equals("1") ? Vfo.B : Vfo.A));
            case "FT" -> tell(new RadioCommand.SetSplit(rest.equals("1") != (state.vfo() == Vfo.B)));
            case "KY" -> tell(new RadioCommand.SendText(rest.strip()));
            case "TX" -> key.press(this) ? "" : REFUSED;
            case "RX" -> key.release(this) ? "" : REFUSED;
            default -> REFUSED;
        };
    }

    private String tune(Vfo vfo, String rest) {
        long hz = rest.length() == 11 ? Long.parseLong(rest) : -1;
        if (hz <= 0) {
            return REFUSED;
        }
        wantedSince = System.nanoTime();
        if (vfo == Vfo.A) {
            wantedA = hz;
        } else {
            wantedB = hz;
        }
        return tell(new RadioCommand.Tune(vfo, hz));
    }

    private String setPower(String rest) {
        int watts = Integer.parseInt(rest);
        return watts < 0 || watts > MOST_WATTS ? REFUSED : tell(new RadioCommand.SetPower(watts));
    }

    private String setMode(String rest) {
        RadioMode mode = mode(rest);
        return mode == null ? REFUSED : want(isData(mode()) ? mode.withData() : mode);
    }

    private String setData(boolean on) {
        RadioMode mode = mode();
        return mode == null ? REFUSED : want(on ? mode.withData() : mode.withoutData());
    }

    private String want(RadioMode mode) {
        wantedMode = mode;
        modeWantedSince = System.nanoTime();
        return tell(new RadioCommand.SetMode(mode));
    }

    /** Programs set the mode and its data in two sentences; the second must not undo the first. */
    private @Nullable RadioMode mode() {
        RadioMode wanted = wantedMode;
        return wanted != null && System.nanoTime() - modeWantedSince < SETTLES_NANOS
                ? wanted
                : radio.state().mode();
    }

    private String tell(RadioCommand command) {
        radio.tell(command);
        return "";
    }

    private String frequency(Vfo vfo) {
        return String.format(Locale.ROOT, vfo == Vfo.A ? "FA%011d;" : "FB%011d;", hz(vfo));
    }

    private long hz(Vfo vfo) {
        Long wanted = vfo == Vfo.A ? wantedA : wantedB;
        if (wanted != null && System.nanoTime() - wantedSince < SETTLES_NANOS) {
            return wanted;
        }
        RadioState state = radio.state();
        Long reported = vfo == Vfo.A ? state.vfoAHz() : state.vfoBHz();
        return reported == null ? 0 : reported;
    }

    private String meter() {
        Integer meter = radio.state().meter();
        return meter == null ? REFUSED : String.format(Locale.ROOT, "SM0%04d;", meter);
    }

    private String summary(RadioState state) {
        return String.format(
                Locale.ROOT,
                "IF%011d     +000000 00%d%s%d0%d000 ;",
                hz(state.vfo()),
                state.transmitting() ? 1 : 0,
                figure(mode()),
                state.vfo() == Vfo.A ? 0 : 1,
                state.split() ? 1 : 0);
    }

    private static boolean isData(@Nullable RadioMode mode) {
        return mode != null && mode != mode.withoutData();
    }

    private static @Nullable RadioMode mode(String figure) {
        return switch (figure) {
            case "1" -> RadioMode.LSB;
            case "2" -> RadioMode.USB;
            case "3" -> RadioMode.CW;
            case "4" -> RadioMode.FM;
            case "5" -> RadioMode.AM;
            case "6" -> RadioMode.RTTY;
            case "7" -> RadioMode.CW_REVERSE;
            case "9" -> RadioMode.RTTY_REVERSE;
            default -> null;
        };
    }

    private static String figure(@Nullable RadioMode mode) {
        return switch (mode == null ? RadioMode.USB : mode.withoutData()) {
            case LSB -> "1";
            case CW -> "3";
            case FM -> "4";
            case AM -> "5";
            case RTTY -> "6";
            case CW_REVERSE -> "7";
            case RTTY_REVERSE -> "9";
            default -> "2";
        };
    }
}
