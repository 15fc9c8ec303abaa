package yokebar.links.radio;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import yokebar.core.radio.RadioCommand;
import yokebar.core.radio.RadioMode;
import yokebar.core.radio.RadioReport;
import yokebar.core.radio.RadioState;
import yokebar.core.radio.Vfo;

/**
 * Framed binary CAT: {@code FE FE to from command data FD} on a bus that several radios may share. Frequencies are ten decimal
 * digits, two in a byte, the lowest first. What the computer sends may come back as an echo; frames to others are theirs.
 */
public final class FramedCat implements RadioDialect {
    private static final int START = 0xFE;
    private static final int END = 0xFD;
    /** Sent by a radio that noticed a collision on the bus. */
    private static final int JAMMED = 0xFC;

    private static final int COMPUTER = 0xE0;
    private static final int EVERYBODY = 0x00;
    private static final int OK = 0xFB;
    private static final int NOT_GOOD = 0xFA;
    private static final int LONGEST_FRAME = 80;
    private static final int FULL_SCALE = 255;
    /** Text sent by one frame. */
    private static final int KEYED_CHARACTERS = 30;

    private static final List<RadioMode> MODES =
            List.of(RadioMode.LSB, RadioMode.USB, RadioMode.AM, RadioMode.CW, RadioMode.RTTY, RadioMode.FM);

    private static final int CW_REVERSE = 0x07;
    private static final int RTTY_REVERSE = 0x08;

    private final int bus;
    private final int fullPowerW;
    private final ByteArrayOutputStream frame = new ByteArrayOutputStream();
    private boolean inside;
    private int skipped;
    private @Nullable RadioMode plainMode;
    private boolean data;
    private int answeredFrom;
    /** The VFO worked on, as far as we switched it: the dialect has no question for it. */
    private Vfo vfo = Vfo.A;

    /**
     * @param bus the radio's address, 0x01 to 0xDF; 0 asks everybody on the bus, to find out who is there
     * @param fullPowerW what full power is, W: the radio gives its power as a share of it
     */
    public FramedCat(int bus, int fullPowerW) {
        this.bus = bus;
        this.fullPowerW = fullPowerW;
    }

    @Override
    public List<byte[]> greeting() {
        return List.of(frame(0x03), frame(0x04), frame(0x1A, 0x06), frame(0x25, 0x01));
    }

    @Override
    public List<byte[]> quickQuestions() {
        return List.of(frame(0x03), frame(0x15, 0x02), frame(0x1C, 0x00));
    }

    @Override
    public List<byte[]> slowQuestions() {
        return List.of(frame(0x04), frame(0x1A, 0x06), frame(0x0F), frame(0x14, 0x0A), frame(0x25, 0x01));
    }

    @Override
    public List<byte[]> say(RadioCommand command) {
        if (command instanceof RadioCommand.Tune c) {
            return c.vfo() == vfo
                    ? List.of(frame(0x05, frequency(c.hz())), frame(0x03))
                    : List.of(frame(0x25, prepend(0x01, frequency(c.hz()))), frame(0x25, 0x01));
        }
        if (command instanceof RadioCommand.SetMode c) {
            boolean withData = isData(c.mode());
            return List.of(
                    frame(0x06, figure(c.mode())),
                    frame(0x1A, 0x06, withData ? 1 : 0, withData ? 1 : 0),
                    frame(0x04),
                    frame(0x1A, 0x06));
        }
        if (command instanceof RadioCommand.SetSplit c) {
            return List.of(frame(0x0F, c.on() ? 1 : 0), frame(0x0F));
        }
        if (command instanceof RadioCommand.Receive c) {
            vfo = c.vfo();
            return List.of(frame(0x07, c.vfo() == Vfo.A ? 0 : 1), frame(0x03), frame(0x25, 0x01));
        }
        if (command instanceof RadioCommand.Key c) {
            return List.of(frame(0x1C, 0x00, c.on() ? 1 : 0), frame(0x1C, 0x00));
        }
        if (command instanceof RadioCommand.SetPower c) {
            int share = Math.max(0, Math.min(FULL_SCALE, Math.round(c.watts() * (float) FULL_SCALE / fullPowerW)));
            return List.of(frame(0x14, prepend(0x0A, scale(share))), frame(0x14, 0x0A));
        }
        if (command instanceof RadioCommand.SendText c) {
            return keyed(c.text());
        }
        return List.of();
    }

    @Override
    public int answeredFrom() {
        return answeredFrom;
    }

    private List<byte[]> keyed(String text) {
        String tidy = text.toUpperCase(Locale.ROOT).replaceAll("[^A-Z0-9 /?.,=+-]", "");
        List<byte[]> parts = new ArrayList<>();
        for (int from = 0; from < tidy.length(); from += KEYED_CHARACTERS) {
            String part = tidy.substring(from, Math.min(tidy.length(), from + KEYED_CHARACTERS));
            parts.add(frame(0x17, ints(part.getBytes(StandardCharsets.US_ASCII))));
        }
        return parts;
    }

    @Override
    public int listen(byte[] bytes, int length, Consumer<RadioReport> reports) {
        int answers = 0;
        for (int i = 0; i < length; i++) {
            int b = bytes[i] & 0xff;
            if (b == START) {
                // Two of them start a frame; a third, or one in the middle, starts it anew.
                discard(frame.size());
                inside = true;
            } else if (!inside) {
                skipped++;
            } else if (b == END) {
                answers += frame(frame.toByteArray(), reports) ? 1 : 0;
                frame.reset();
                inside = false;
            } else if (b == JAMMED || frame.size() >= LONGEST_FRAME) {
                discard(frame.size() + 1);
                inside = false;
            } else {
                frame.write(b);
            }
        }
        if (skipped > 0) {
            reports.accept(new RadioReport.Garbage(skipped));
            skipped = 0;
        }
        return answers;
    }

    private void discard(int bytes) {
        skipped += bytes;
        frame.reset();
    }

    /** @return whether it was an answer of our radio */
    private boolean frame(byte[] content, Consumer<RadioReport> reports) {
        int[] f = ints(content);
        boolean echo = f.length >= 2 && f[1] == COMPUTER;
        boolean fromOther = f.length >= 2 && bus != EVERYBODY && f[1] != bus;
        boolean toOther = f.length >= 1 && f[0] != COMPUTER && f[0] != EVERYBODY;
        if (f.length < 3) {
            skipped += f.length;
            return false;
        }
        if (echo || fromOther || toOther) {
            return false;
        }
        boolean understood = read(f, reports);
        if (understood) {
            answeredFrom = f[1];
        }
        if (!understood) {
            skipped += f.length;
        }
        return understood;
    }

    private boolean read(int[] f, Consumer<RadioReport> reports) {
        switch (f[2]) {
            case OK -> {
                return f.length == 3;
            }
            case NOT_GOOD -> {
                reports.accept(new RadioReport.Refused("command"));
                return f.length == 3;
            }
            case 0x00, 0x03 -> {
                return frequency(f, 3, vfo, reports);
            }
            case 0x25 -> {
                return f.length > 3 && frequency(f, 4, f[3] == 0 ? vfo : vfo.other(), reports);
            }
            case 0x01, 0x04 -> {
                return mode(f, reports);
            }
            case 0x0F -> {
                return f.length == 4 && f[3] <= 1 && tell(reports, new RadioReport.SplitIs(f[3] == 1));
            }
            case 0x1A -> {
                return f.length >= 5 && f[3] == 0x06 && data(f[4] == 1, reports);
            }
            case 0x1C -> {
                return f.length == 5
                        && f[3] == 0
                        && f[4] <= 1
                        && tell(reports, new RadioReport.Transmitting(f[4] == 1));
            }
            case 0x14 -> {
                int share = f.length == 6 && f[3] == 0x0A ? scaleOf(f, 4) : -1;
                return share >= 0
                        && tell(reports, new RadioReport.PowerIs(Math.round(share * (float) fullPowerW / FULL_SCALE)));
            }
            case 0x15 -> {
                int share = f.length == 6 && f[3] == 0x02 ? scaleOf(f, 4) : -1;
                return share >= 0 && tell(reports, new RadioReport.Meter(share * RadioState.METER_FULL / FULL_SCALE));
            }
            default -> {
                return false;
            }
        }
    }

    private static boolean tell(Consumer<RadioReport> reports, RadioReport report) {
        reports.accept(report);
        return true;
    }

    private boolean data(boolean on, Consumer<RadioReport> reports) {
        data = on;
        reportMode(reports);
        return true;
    }

    private boolean mode(int[] f, Consumer<RadioReport> reports) {
        if (f.length < 4 || f.length > 5) {
            return false;
        }
        RadioMode read = f[3] < MODES.size()
                ? MODES.get(f[3])
                : f[3] == CW_REVERSE ? RadioMode.CW_REVERSE : f[3] == RTTY_REVERSE ? RadioMode.RTTY_REVERSE : null;
        if (read == null) {
            return false;
        }
        plainMode = read;
        reportMode(reports);
        return true;
    }

    private void reportMode(Consumer<RadioReport> reports) {
        RadioMode mode = plainMode;
        if (mode != null) {
            reports.accept(new RadioReport.ModeIs(data ? mode.withData() : mode));
        }
    }

    private static boolean isData(RadioMode mode) {
        return mode != mode.withoutData();
    }

    private static int figure(RadioMode mode) {
        return switch (mode.withoutData()) {
            case CW_REVERSE -> CW_REVERSE;
            case RTTY_REVERSE -> RTTY_REVERSE;
            default -> MODES.indexOf(mode.withoutData());
        };
    }

    private static boolean frequency(int[] f, int from, Vfo which, Consumer<RadioReport> reports) {
        // Five bytes, six in radios for microwaves.
        if (f.length != from + 5 && f.length != from + 6) {
            return false;
        }
        long hz = 0;
        for (int i = f.length - 1; i >= from; i--) {
            int high = f[i] >> 4;
            int low = f[i] & 0x0f;
            if (high > 9 || low > 9) {
                return false;
            }
            hz = hz * 100 + high * 10L + low;
        }
        reports.accept(new RadioReport.Frequency(which, hz));
        return true;
    }

    private static int[] frequency(long hz) {
        int[] bytes = new int[5];
        long rest = hz;
        for (int i = 0; i < bytes.length; i++) {
            bytes[i] = (int) (rest / 10 % 10 << 4 | rest % 10);
            rest /= 100;
        }
        return bytes;
    }

    /** 0 to 255 as four decimal digits in two bytes, the highest first. */
    private static int[] scale(int value) {
        return new int[] {value / 100, value / 10 % 10 << 4 | value % 10};
    }

    /** @return -1 when the digits are none */
    private static int scaleOf(int[] f, int from) {
        int high = f[from] & 0x0f;
        int tens = f[from + 1] >> 4;
        int ones = f[from + 1] & 0x0f;
        int value = high * 100 + tens * 10 + ones;
        return f[from] > 2 || tens > 9 || ones > 9 || value > FULL_SCALE ? -1 : value;
    }

    private static int[] prepend(int first, int[] rest) {
        int[] all = new int[rest.length + 1];
        all[0] = first;
        System.arraycopy(rest, 0, all, 1, rest.length);
        return all;
    }

    private byte[] frame(int command, int... rest) {
        byte[] bytes = new byte[rest.length + 6];
        bytes[0] = (byte) START;
        bytes[1] = (byte) START;
        bytes[2] = (byte) bus;
        bytes[3] = (byte) COMPUTER;
        bytes[4] = (byte) command;
        for (int i = 0; i < rest.length; i++) {
            bytes[5 + i] = (byte) rest[i];
        }
        bytes[bytes.length - 1] = (byte) END;
        return bytes;
    }

    private static int[] ints(byte[] bytes) {
        int[] all = new int[bytes.length];
        for (int i = 0; i < bytes.length; i++) {
            all[i] = bytes[i] & 0xff;
        }
        return all;
    }
}
