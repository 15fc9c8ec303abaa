package yokebar.links.sources.share;

import java.util.Locale;
import java.util.concurrent.CompletableFuture;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import yokebar.core.sources.radio.RadioCommand;
import yokebar.core.sources.radio.RadioMode;
import yokebar.core.sources.radio.RadioState;
import yokebar.core.sources.radio.Vfo;
import yokebar.links.sources.radio.CommandOutcome;
import yokebar.links.sources.radio.Keying;

/**
 * The radio's side of semicolon CAT for one program: sentences to answers, from what the radio reported lately. A frequency or
 * mode that was just set is given back as set until the radio has had time to report it. What is not known is refused, never
 * made up.
 */
final class ShareSentences {
    static final String REFUSED = "?;";
    /** Three figures. */
    private static final int MAX_WATTS = 999;

    private static final long SETTLES_NANOS = 700_000_000L;

    private final SharedRadio radio;
    private final Events events;
    private final Wanted<Long> wantedA = new Wanted<>();
    private final Wanted<Long> wantedB = new Wanted<>();
    private final Wanted<RadioMode> wantedMode = new Wanted<>();
    private boolean pushes;

    /** What happens besides answers. */
    interface Events {
        /** To be sent to the program, later than the answer; called by any thread. */
        void send(String text);

        /** The program asked to transmit. */
        void keyAsked(boolean granted, String why);
    }

    /** What a program set a moment ago. */
    private static final class Wanted<T> {
        private @Nullable T value;
        private long since;

        synchronized void set(@Nullable T wanted) {
            value = wanted;
            since = System.nanoTime();
        }

        synchronized void drop(T refused) {
            if (refused.equals(value)) {
                value = null;
            }
        }

        synchronized @Nullable T orReported(@Nullable T reported) {
            return value != null && System.nanoTime() - since < SETTLES_NANOS ? value : reported;
        }
    }

    ShareSentences(SharedRadio radio, Events events) {
        this.radio = radio;
        this.events = events;
    }

    /** Whether the program wants to be told of changes. */
    boolean pushes() {
        return pushes;
    }

    /** What to say when the radio moved. */
    String news() {
        return known(frequency(Vfo.A)) + known(frequency(Vfo.B)) + known(summary(radio.state()));
    }

    private static String known(String answer) {
        return answer.equals(REFUSED) ? "" : answer;
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
                    ? questionAnswer(letters)
                    : letters.equals("SM") ? meter() : commanded(letters, rest);
        } catch (NumberFormatException e) {
            return REFUSED;
        }
    }

    private String questionAnswer(String letters) {
        RadioState state = radio.state();
        return switch (letters) {
            case "ID" -> "ID019;";
            case "AI" -> pushes ? "AI2;" : "AI0;";
            case "PS" -> state.frequencyHz() == null ? "PS0;" : "PS1;";
            case "FA" -> frequency(Vfo.A);
            case "FB" -> frequency(Vfo.B);
            case "IF" -> summary(state);
            case "MD" -> mode() == null ? REFUSED : "MD" + figure(mode()) + ";";
            case "DA" -> mode() == null ? REFUSED : isData(mode()) ? "DA1;" : "DA0;";
            case "FR" -> state.vfo() == null ? REFUSED : state.vfo() == Vfo.A ? "FR0;" : "FR1;";
            case "FT" ->
                state.vfo() == null || state.split() == null
                        ? REFUSED
                        : (state.vfo() == Vfo.B) != state.split() ? "FT1;" : "FT0;";
            case "PC" ->
                state.powerW() == null
                        ? REFUSED
                        : String.format(Locale.ROOT, "PC%03d;", Math.min(MAX_WATTS, state.powerW()));
            case "FW" ->
                state.bandwidthHz() == null ? REFUSED : String.format(Locale.ROOT, "FW%04d;", state.bandwidthHz());
            // Texts wait in Yokebar, not in the radio: there is room while the program keys alone.
            case "KY" -> radio.mayCommand(this) ? "KY0;" : "KY1;";
            case "SM" -> meter();
            default -> REFUSED;
        };
    }

    private String commanded(String letters, String rest) {
        if (letters.equals("AI")) {
            pushes = !rest.equals("0");
            return "";
        }
        if (letters.equals("RX")) {
            // Asking for receive is right at any time, but only who keys ends the transmission.
            return radio.release(this) ? "" : REFUSED;
        }
        if (letters.equals("TX")) {
            return key(false);
        }
        RadioState state = radio.state();
        if (state.equals(RadioState.UNKNOWN) || !radio.mayCommand(this)) {
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
            case "KY" -> text(rest.strip());
            default -> REFUSED;
        };
    }

    private String text(String text) {
        String answer = text.isEmpty() ? "" : key(true);
        return answer.isEmpty() && !text.isEmpty() ? tell(new RadioCommand.SendText(text)) : answer;
    }

    private String key(boolean text) {
        if (!radio.mayTransmit()) {
            events.keyAsked(false, "programs may not transmit with this radio");
            return REFUSED;
        }
        Keying.Answer answer = radio.press(this, text);
        events.keyAsked(answer == Keying.Answer.YES, why(answer));
        return answer == Keying.Answer.YES ? "" : REFUSED;
    }

    private static String why(Keying.Answer answer) {
        return switch (answer) {
            case YES -> "";
            case KEYED_BY_ANOTHER -> "another program was transmitting";
            case TRANSMITTING -> "the radio was transmitting already";
            case ENDING -> "the radio was still being set to receive";
            case RESTING -> "its last transmission was cut off at the time limit a moment before";
            case NOT_CONNECTED -> "the radio was not connected";
        };
    }

    private String tune(Vfo vfo, String rest) {
        long hz = rest.length() == 11 ? Long.parseLong(rest) : -1;
        if (hz <= 0 || hz > radio.maxHz()) {
            return REFUSED;
        }
        Wanted<Long> wanted = vfo == Vfo.A ? wantedA : wantedB;
        wanted.set(hz);
        return tell(new RadioCommand.Tune(vfo, hz), how -> wanted.drop(hz));
    }

    private String setPower(String rest) {
        int watts = Integer.parseInt(rest);
        return watts < 0 || watts > MAX_WATTS ? REFUSED : tell(new RadioCommand.SetPower(watts));
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
        wantedMode.set(mode);
        return tell(new RadioCommand.SetMode(mode), how -> wantedMode.drop(mode));
    }

    /** Programs set the mode and its data in two sentences; the second must not undo the first. */
    private @Nullable RadioMode mode() {
        return wantedMode.orReported(radio.state().mode());
    }

    private String tell(RadioCommand command) {
        return tell(command, how -> {});
    }

    /** What the radio refuses is refused to the program as soon as it is known. */
    private String tell(RadioCommand command, Consumer<CommandOutcome> failed) {
        CompletableFuture<CommandOutcome> outcome = radio.tell(command);
        if (outcome.getNow(CommandOutcome.DONE) == CommandOutcome.DROPPED) {
            failed.accept(CommandOutcome.DROPPED);
            return REFUSED;
        }
        outcome.thenAccept(how -> {
            if (how == CommandOutcome.REFUSED || how == CommandOutcome.IGNORED || how == CommandOutcome.IMPOSSIBLE) {
                failed.accept(how);
                events.send(REFUSED);
            }
        });
        return "";
    }

    private String frequency(Vfo vfo) {
        Long hz = hz(vfo);
        return hz == null ? REFUSED : String.format(Locale.ROOT, vfo == Vfo.A ? "FA%011d;" : "FB%011d;", hz);
    }

    private @Nullable Long hz(Vfo vfo) {
        return radio.state().equals(RadioState.UNKNOWN)
                ? null
                : (vfo == Vfo.A ? wantedA : wantedB).orReported(radio.state().of(vfo));
    }

    private String meter() {
        Integer meter = radio.state().meter();
        return meter == null ? REFUSED : String.format(Locale.ROOT, "SM0%04d;", meter);
    }

    private String summary(RadioState state) {
        Vfo vfo = state.vfo();
        Long hz = vfo == null ? null : hz(vfo);
        RadioMode mode = mode();
        if (vfo == null || hz == null || mode == null || state.split() == null || state.transmitting() == null) {
            return REFUSED;
        }
        return String.format(
                Locale.ROOT,
                "IF%011d     +000000 00%d%s%d0%d000 ;",
                hz,
                state.transmitting() ? 1 : 0,
                figure(mode),
                vfo == Vfo.A ? 0 : 1,
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

    private static String figure(RadioMode mode) {
        return switch (mode.withoutData()) {
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
