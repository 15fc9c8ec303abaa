package yokebar.standins.device;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;

/** The HF radio "Petrel 100": semicolon CAT, 30 kHz to 60 MHz, 100 W. */
public final class HfRadio extends SimulatedRadio {
    private static final byte[] NOTHING = {};
    private static final List<String> MODES = List.of("", "LSB", "USB", "CW", "FM", "AM", "RTTY", "CW-R", "", "RTTY-R");

    private final RadioFront front = front();
    private final Set<DeviceServer.Line> wantPushes = ConcurrentHashMap.newKeySet();
    private final AtomicLong summariesAsked = new AtomicLong();

    /** @param port 0 for any free port */
    public HfRadio(int port) throws IOException {
        super("petrel-100", new RadioFront(30_000, 60_000_000, 100, 14_074_000), port);
        front.setData(true);
        switchOn();
    }

    /** How often it was asked for its summary. */
    public long summariesAsked() {
        return summariesAsked.get();
    }

    @Override
    DeviceServer.Talk talk(DeviceServer.Line line) {
        return new Talk(line);
    }

    @Override
    byte[] news(DeviceServer.Line line) {
        return wantPushes.contains(line) ? changes() : NOTHING;
    }

    private byte[] changes() {
        return bytes(frequency("FA", false) + frequency("FB", true) + summary());
    }

    private String frequency(String letters, boolean vfoB) {
        return "%s%011d;".formatted(letters, front.vfoHz(vfoB));
    }

    private String summary() {
        return "IF%011d     +000000 00%d%d%d0%d000 ;"
                .formatted(
                        front.frequencyHz(),
                        front.transmitting() ? 1 : 0,
                        MODES.indexOf(front.mode()),
                        front.receivesOnB() ? 1 : 0,
                        front.split() ? 1 : 0);
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.US_ASCII);
    }

    /** One computer's conversation. */
    private final class Talk implements DeviceServer.Talk {
        private final DeviceServer.Line line;
        private final StringBuilder sentence = new StringBuilder();

        Talk(DeviceServer.Line line) {
            this.line = line;
        }

        @Override
        public byte[] take(byte b) {
            if (b != ';') {
                if (sentence.length() < 100) {
                    sentence.append((char) b);
                }
                return NOTHING;
            }
            String text = sentence.toString();
            sentence.setLength(0);
            return text.length() < 2 ? bytes("?;") : bytes(answer(text.substring(0, 2), text.substring(2)));
        }

        private String answer(String letters, String rest) {
            try {
                return rest.isEmpty() ? answer(letters) : done(letters, rest);
            } catch (NumberFormatException e) {
                return "?;";
            }
        }

        private String answer(String letters) {
            return switch (letters) {
                case "FA" -> frequency("FA", false);
                case "FB" -> frequency("FB", true);
                case "IF" -> {
                    summariesAsked.incrementAndGet();
                    yield summary();
                }
                case "MD" -> "MD" + MODES.indexOf(front.mode()) + ";";
                case "DA" -> "DA" + (front.data() ? 1 : 0) + ";";
                case "PC" -> "PC%03d;".formatted(front.powerW());
                case "FW" -> "FW2400;";
                case "ID" -> "ID077;";
                case "AI" -> "AI" + (wantPushes.contains(line) ? 2 : 0) + ";";
                case "FR" -> "FR" + (front.receivesOnB() ? 1 : 0) + ";";
                case "FT" -> "FT" + (front.split() != front.receivesOnB() ? 1 : 0) + ";";
                case "RX" -> keyed(false);
                case "TX" -> keyed(true);
                default -> "?;";
            };
        }

        private String done(String letters, String rest) {
            boolean well =
                    switch (letters) {
                        case "FA" -> front.tune(false, Long.parseLong(rest));
                        case "FB" -> front.tune(true, Long.parseLong(rest));
                        case "MD" ->
                            Integer.parseInt(rest) < MODES.size() && front.setMode(MODES.get(Integer.parseInt(rest)));
                        case "DA" -> set(() -> front.setData(rest.equals("1")));
                        case "PC" -> front.setPowerW(Integer.parseInt(rest));
                        case "FR" -> set(() -> front.receiveOnB(rest.equals("1")));
                        case "FT" -> set(() -> front.setSplit(rest.equals("1") != front.receivesOnB()));
                        case "TX" -> set(() -> front.key(true));
                        case "KS" -> front.setKeyerSpeed(Integer.parseInt(rest));
                        case "KY" -> set(() -> front.keyText(rest.strip() + " "));
                        case "AI" -> rest.equals("0") ? wantPushes.remove(line) || true : wantPushes.add(line) || true;
                        default -> false;
                    };
            if (letters.equals("SM")) {
                return "SM0%04d;".formatted(front.meter());
            }
            return well ? "" : "?;";
        }

        private String keyed(boolean on) {
            front.key(on);
            return "";
        }

        private boolean set(Runnable change) {
            change.run();
            return true;
        }
    }
}
