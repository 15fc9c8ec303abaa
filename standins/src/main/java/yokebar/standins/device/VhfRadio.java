package yokebar.standins.device;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.math.BigInteger;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;

/**
 * The VHF radio "Shearwater V/U": framed binary CAT at bus address 0x5C, 144 to 450 MHz, 50 W. As on a real bus, all that is
 * said to it comes back as an echo.
 */
public final class VhfRadio extends SimulatedRadio {
    public static final int BUS = 0x5C;
    private static final int COMPUTER = 0xE0;
    private static final byte[] NOTHING = {};
    private static final List<String> MODES = List.of("LSB", "USB", "AM", "CW", "RTTY", "FM", "", "CW-R", "RTTY-R");

    private final RadioFront front = front();

    /** @param port 0 for any free port */
    public VhfRadio(int port) throws IOException {
        super("shearwater", new RadioFront(144_000_000, 450_000_000, 50, 145_500_000), port);
        front.setMode("FM");
        switchOn();
    }

    @Override
    DeviceServer.Talk talk(DeviceServer.Line line) {
        return new Talk();
    }

    /** Everybody is told whenever the knob moves, unasked. */
    @Override
    byte[] news(DeviceServer.Line line) {
        return frame(0x00, 0x00, frequency(front.frequencyHz()));
    }

    private static byte[] frame(int to, int command, byte... rest) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        out.writeBytes(new byte[] {(byte) 0xFE, (byte) 0xFE, (byte) to, (byte) BUS, (byte) command});
        out.writeBytes(rest);
        out.write(0xFD);
        return out.toByteArray();
    }

    /** Ten decimal digits, two in a byte, the lowest first: the hexadecimal reading of the decimal figures, turned round. */
    private static byte[] frequency(long hz) {
        byte[] digits = new BigInteger("1" + "%010d".formatted(hz), 16).toByteArray();
        byte[] five = Arrays.copyOfRange(digits, digits.length - 5, digits.length);
        byte[] turned = new byte[5];
        for (int i = 0; i < 5; i++) {
            turned[i] = five[4 - i];
        }
        return turned;
    }

    private static long hertz(byte[] data, int from) {
        StringBuilder figures = new StringBuilder();
        for (int i = from + 4; i >= from; i--) {
            figures.append("%02x".formatted(data[i]));
        }
        return Long.parseLong(figures.toString());
    }

    private static byte[] scale(int value) {
        return new byte[] {
            (byte) Integer.parseInt("" + value / 100), (byte) Integer.parseInt("%02d".formatted(value % 100), 16)
        };
    }

    private final class Talk implements DeviceServer.Talk {
        private final ByteArrayOutputStream frame = new ByteArrayOutputStream();

        @Override
        public byte[] take(byte b) {
            frame.write(b);
            if ((b & 0xff) != 0xFD) {
                if (frame.size() > 100) {
                    frame.reset();
                }
                return NOTHING;
            }
            byte[] bytes = frame.toByteArray();
            frame.reset();
            ByteArrayOutputStream back = new ByteArrayOutputStream();
            back.writeBytes(bytes);
            if (bytes.length >= 6 && ((bytes[2] & 0xff) == BUS || bytes[2] == 0) && (bytes[3] & 0xff) == COMPUTER) {
                back.writeBytes(answer(bytes[4] & 0xff, Arrays.copyOfRange(bytes, 5, bytes.length - 1)));
            }
            return back.toByteArray();
        }

        private byte[] answer(int command, byte[] data) {
            return switch (command) {
                case 0x03 -> frame(COMPUTER, 0x03, frequency(front.frequencyHz()));
                case 0x04 -> frame(COMPUTER, 0x04, (byte) MODES.indexOf(front.mode()), (byte) 1);
                case 0x05 -> outcome(data.length == 5 && front.tune(front.receivesOnB(), hertz(data, 0)));
                case 0x06 -> outcome(data.length >= 1 && data[0] < MODES.size() && front.setMode(MODES.get(data[0])));
                case 0x07 -> outcome(select(data));
                case 0x0F ->
                    data.length == 0
                            ? frame(COMPUTER, 0x0F, bit(front.split()))
                            : outcome(set(() -> front.setSplit(data[0] == 1)));
                case 0x14 -> data.length > 0 && data[0] == 0x0C ? keyerSpeed(data) : power(data);
                case 0x15 -> frame(COMPUTER, 0x15, join((byte) 2, scale(front.meter() * 255 / 30)));
                case 0x1A ->
                    data.length == 1
                            ? frame(COMPUTER, 0x1A, (byte) 6, bit(front.data()), bit(front.data()))
                            : outcome(data.length > 1 && set(() -> front.setData(data[1] == 1)));
                case 0x1C ->
                    data.length == 1
                            ? frame(COMPUTER, 0x1C, (byte) 0, bit(front.transmitting()))
                            : outcome(data.length > 1 && set(() -> front.key(data[1] == 1)));
                case 0x17 -> outcome(set(() -> front.keyText(new String(data, StandardCharsets.US_ASCII) + " ")));
                case 0x25 -> other(data);
                default -> outcome(false);
            };
        }

        private byte[] other(byte[] data) {
            boolean vfoB = data.length > 0 && (data[0] == 1) != front.receivesOnB();
            return data.length == 1
                    ? frame(COMPUTER, 0x25, join(data[0], frequency(front.vfoHz(vfoB))))
                    : outcome(data.length == 6 && front.tune(vfoB, hertz(data, 1)));
        }

        /** From 6 to 48 words a minute. */
        private byte[] keyerSpeed(byte[] data) {
            if (data.length == 1) {
                int share = Math.round((front.keyerSpeed() - 6) * 255 / 42f);
                return frame(COMPUTER, 0x14, join((byte) 0x0C, scale(share)));
            }
            return outcome(data.length == 3 && front.setKeyerSpeed(6 + Math.round(share(data) * 42 / 255f)));
        }

        private static int share(byte[] data) {
            return data[1] * 100 + Integer.parseInt("%02x".formatted(data[2]));
        }

        private byte[] power(byte[] data) {
            if (data.length == 1) {
                return frame(COMPUTER, 0x14, join((byte) 0x0A, scale(front.powerW() * 255 / front.fullPowerW())));
            }
            return outcome(front.setPowerW(Math.round(share(data) * front.fullPowerW() / 255f)));
        }

        private boolean select(byte[] data) {
            return data.length == 1 && set(() -> front.receiveOnB(data[0] == 1));
        }

        private boolean set(Runnable change) {
            change.run();
            return true;
        }

        private static byte bit(boolean on) {
            return (byte) (on ? 1 : 0);
        }

        private static byte[] join(byte first, byte[] rest) {
            byte[] all = new byte[rest.length + 1];
            all[0] = first;
            System.arraycopy(rest, 0, all, 1, rest.length);
            return all;
        }

        private static byte[] outcome(boolean well) {
            return frame(COMPUTER, well ? 0xFB : 0xFA);
        }
    }
}
