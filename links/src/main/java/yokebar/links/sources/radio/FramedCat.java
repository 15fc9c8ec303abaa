package yokebar.links.sources.radio;

import java.io.ByteArrayOutputStream;
import java.nio.charset.StandardCharsets;
import java.util.HexFormat;
import java.util.List;
import java.util.Set;
import yokebar.core.sources.radio.RadioCommand;
import yokebar.core.sources.radio.RadioMode;
import yokebar.core.sources.radio.RadioReport;
import yokebar.core.sources.radio.RadioState;
import yokebar.core.sources.radio.Vfo;

/**
 * Framed binary CAT: {@code FE FE to from command data FD} on a bus that several radios may share. Frequencies are ten decimal
 * digits, two in a byte, the lowest first. What the computer sends may come back as an echo; frames to others are theirs.
 */
public final class FramedCat implements RadioDialect {
    private static final HexFormat HEX = HexFormat.of().withUpperCase();
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
    /** The commands this class reads answers to. */
    private static final Set<Integer> KNOWN = Set.of(0x00, 0x01, 0x03, 0x04, 0x0F, 0x14, 0x15, 0x1A, 0x1C, 0x25);

    private final int bus;
    private final int fullPowerW;
    private static final long MAX_HZ = 9_999_999_999L;
    /** Radios for microwaves have a byte more. */
    private static final long MAX_HZ_SIX_BYTES = 999_999_999_999L;

    private final ByteArrayOutputStream frame = new ByteArrayOutputStream();
    private boolean inside;
    private int skipped;
    private int frequencyBytes = 5;
    private int answeredFrom;
    /** The VFO worked on, as far as we switched it: the dialect has no question for it. */
    private Vfo vfo = Vfo.A;

    private boolean knowsData = true;

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
        return List.of();
    }

    @Override
    public List<Question> quickQuestions() {
        return List.of(selectedFrequency(), keyed(), Question.of("15 02", frame(0x15, 0x02)));
    }

    @Override
    public List<Question> slowQuestions() {
        return List.of(
                mode(), data(), split(), power(), Question.forPart("25 01", frame(0x25, 0x01), StatePart.FREQUENCY_B));
    }

    private Question selectedFrequency() {
        return Question.of("03", frame(0x03));
    }

    private Question keyed() {
        return Question.forPart("1C 00", frame(0x1C, 0x00), StatePart.TRANSMITTING);
    }

    private Question mode() {
        return Question.of("04", frame(0x04));
    }

    private Question data() {
        return Question.forPart("1A 06", frame(0x1A, 0x06), StatePart.DATA);
    }

    private Question split() {
        return Question.forPart("0F", frame(0x0F), StatePart.SPLIT);
    }

    private Question power() {
        return Question.forPart("14 0A", frame(0x14, 0x0A), StatePart.POWER);
    }

    @Override
    public long maxHz() {
        return frequencyBytes > 5 ? MAX_HZ_SIX_BYTES : MAX_HZ;
    }

    @Override
    public Instruction say(RadioCommand command) {
        if (command instanceof RadioCommand.Tune c) {
            return c.vfo() == vfo
                    ? tell(selectedFrequency(), frame(0x05, frequency(c.hz())))
                    : tell(Question.of("25 01", frame(0x25, 0x01)), frame(0x25, prepend(0x01, frequency(c.hz()))));
        }
        if (command instanceof RadioCommand.SetMode c) {
            boolean withData = isData(c.mode());
            byte[] plain = frame(0x06, figure(c.mode()));
            return !knowsData && !withData
                    ? tell(mode(), plain)
                    : tell(mode(), plain, frame(0x1A, 0x06, withData ? 1 : 0, withData ? 1 : 0));
        }
        if (command instanceof RadioCommand.SetSplit c) {
            return tell(split(), frame(0x0F, c.on() ? 1 : 0));
        }
        if (command instanceof RadioCommand.Receive c) {
            vfo = c.vfo();
            return tell(selectedFrequency(), frame(0x07, c.vfo() == Vfo.A ? 0 : 1));
        }
        if (command instanceof RadioCommand.Key c) {
            return tell(keyed(), frame(0x1C, 0x00, c.on() ? 1 : 0));
        }
        if (command instanceof RadioCommand.SetPower c) {
            int share = Math.max(0, Math.min(FULL_SCALE, Math.round(c.watts() * (float) FULL_SCALE / fullPowerW)));
            return tell(power(), frame(0x14, prepend(0x0A, scale(share))));
        }
        if (command instanceof RadioCommand.SetKeyerSpeed c) {
            int slowest = RadioCommand.SetKeyerSpeed.SLOWEST;
            int fastest = RadioCommand.SetKeyerSpeed.FASTEST;
            int share = (c.wordsPerMinute() - slowest) * FULL_SCALE / (fastest - slowest);
            return tell(keyed(), frame(0x14, prepend(0x0C, scale(share))));
        }
        if (command instanceof RadioCommand.SendText c) {
            return new Instruction(keyed(c.text()), true, keyed());
        }
        return new Instruction(List.of(), true, null);
    }

    private static Instruction tell(Question check, byte[]... frames) {
        return new Instruction(List.of(frames), true, check);
    }

    @Override
    public void knows(String key, boolean known) {
        if (key.equals("1A 06")) {
            knowsData = known;
        }
    }

    @Override
    public int answeredFrom() {
        return answeredFrom;
    }

    private List<byte[]> keyed(String text) {
        return KeyedText.parts(text, KEYED_CHARACTERS).stream()
                .map(part -> frame(0x17, ints(part.getBytes(StandardCharsets.US_ASCII))))
                .toList();
    }

    @Override
    public void listen(byte[] bytes, int length, Hearing hearing) {
        for (int i = 0; i < length; i++) {
            int b = bytes[i] & 0xff;
            if (b == START) {
                // Two of them start a frame; a third, or one in the middle, starts it anew.
                discard(frame.size());
                inside = true;
            } else if (!inside) {
                skipped++;
            } else if (b == END) {
                frame(frame.toByteArray(), hearing);
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
            hearing.report(new RadioReport.Garbage(skipped));
            skipped = 0;
        }
    }

    private void discard(int bytes) {
        skipped += bytes;
        frame.reset();
    }

    private void frame(byte[] content, Hearing hearing) {
        int[] f = ints(content);
        if (f.length < 3) {
            skipped += f.length;
            return;
        }
        boolean echo = f[1] == COMPUTER;
        boolean fromOther = bus != EVERYBODY && f[1] != bus;
        boolean toOther = f[0] != COMPUTER && f[0] != EVERYBODY;
        if (echo || fromOther || toOther) {
            return;
        }
        int command = f[2];
        if (command == OK || command == NOT_GOOD) {
            answeredFrom = f[1];
            if (command == OK) {
                hearing.taken();
            } else {
                hearing.refused();
            }
        } else if (KNOWN.contains(command)) {
            boolean readable = read(f, hearing);
            answeredFrom = readable ? f[1] : answeredFrom;
            hearing.answered(key(f), readable);
        } else {
            skipped += f.length;
        }
    }

    /** What a question with sub-command is recognised by, such as {@code 1A 06}. */
    private static String key(int[] f) {
        int command = f[2] == 0x00 ? 0x03 : f[2] == 0x01 ? 0x04 : f[2];
        String key = HEX.toHexDigits((byte) command);
        return command >= 0x14 && f.length > 3 ? key + " " + HEX.toHexDigits((byte) f[3]) : key;
    }

    private boolean read(int[] f, Hearing hearing) {
        return switch (f[2]) {
            case 0x00, 0x03 -> frequency(f, 3, vfo, hearing) && report(new RadioReport.Receiving(vfo), hearing);
            case 0x25 -> f.length > 3 && frequency(f, 4, f[3] == 0 ? vfo : vfo.other(), hearing);
            case 0x01, 0x04 -> mode(f, hearing);
            case 0x0F -> f.length == 4 && f[3] <= 1 && report(new RadioReport.SplitIs(f[3] == 1), hearing);
            case 0x1A -> f.length >= 5 && f[3] == 0x06 && report(new RadioReport.DataIs(f[4] == 1), hearing);
            case 0x1C ->
                f.length == 5 && f[3] == 0 && f[4] <= 1 && report(new RadioReport.Transmitting(f[4] == 1), hearing);
            case 0x14 -> {
                int share = f.length == 6 && f[3] == 0x0A ? scaleOf(f, 4) : -1;
                yield share >= 0
                        && report(
                                new RadioReport.PowerIs(Math.round(share * (float) fullPowerW / FULL_SCALE)), hearing);
            }
            case 0x15 -> {
                int share = f.length == 6 && f[3] == 0x02 ? scaleOf(f, 4) : -1;
                yield share >= 0 && report(new RadioReport.Meter(share * RadioState.METER_FULL / FULL_SCALE), hearing);
            }
            default -> false;
        };
    }

    private static boolean report(RadioReport report, Hearing hearing) {
        hearing.report(report);
        return true;
    }

    /** A mode this program has no name for is reported as unknown. */
    private static boolean mode(int[] f, Hearing hearing) {
        if (f.length < 4 || f.length > 5) {
            return false;
        }
        RadioMode read = f[3] < MODES.size()
                ? MODES.get(f[3])
                : f[3] == CW_REVERSE ? RadioMode.CW_REVERSE : f[3] == RTTY_REVERSE ? RadioMode.RTTY_REVERSE : null;
        hearing.report(new RadioReport.ModeIs(read));
        return read != null;
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

    private boolean frequency(int[] f, int from, Vfo which, Hearing hearing) {
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
        frequencyBytes = f.length - from;
        return report(new RadioReport.Frequency(which, hz), hearing);
    }

    private int[] frequency(long hz) {
        int[] bytes = new int[frequencyBytes];
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
