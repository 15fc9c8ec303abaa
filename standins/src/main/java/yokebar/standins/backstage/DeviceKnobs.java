package yokebar.standins.backstage;

import java.io.IOException;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.Map;
import yokebar.standins.clock.TimeServer;
import yokebar.standins.device.HfRadio;
import yokebar.standins.device.Rotator;
import yokebar.standins.device.SerialLines;
import yokebar.standins.device.SimulatedRadio;
import yokebar.standins.device.VhfRadio;

/** What Backstage does to the devices. Each answers whether there is such a knob. */
public final class DeviceKnobs {
    private final HfRadio hf;
    private final VhfRadio vhf;
    private final Rotator rotator;
    private final TimeServer timeServer;
    private final SerialLines serialLines;

    public DeviceKnobs(HfRadio hf, VhfRadio vhf, Rotator rotator, TimeServer timeServer, SerialLines serialLines) {
        this.hf = hf;
        this.vhf = vhf;
        this.rotator = rotator;
        this.timeServer = timeServer;
        this.serialLines = serialLines;
    }

    Map<String, Object> state() {
        Map<String, Object> state = new LinkedHashMap<>();
        state.put("radio", hf.state());
        state.put("vhf", vhf.state());
        state.put("rotator", rotator.state());
        state.put("time", timeServer.state());
        state.put("serial", serialLines.paths());
        return state;
    }

    boolean radio(String knob, Map<String, String> words) throws IOException {
        return turn(hf, "petrel", knob, words);
    }

    boolean vhf(String knob, Map<String, String> words) throws IOException {
        return turn(vhf, "shearwater", knob, words);
    }

    private boolean turn(SimulatedRadio radio, String name, String knob, Map<String, String> words) throws IOException {
        switch (knob) {
            case "turn" -> radio.front().turn(Long.parseLong(words.getOrDefault("hz", "100")));
            case "tune" -> radio.front().tune(false, Long.parseLong(words.getOrDefault("hz", "14074000")));
            case "mode" -> setMode(radio, words.getOrDefault("mode", "USB"));
            case "watts" -> radio.front().setPowerW(Integer.parseInt(words.getOrDefault("watts", "100")));
            case "split" -> radio.front().setSplit(on(words));
            case "key" -> radio.front().key(on(words));
            case "power" -> radio.setPowered(on(words));
            case "cable" -> {
                radio.setPlugged(on(words));
                replug(name, words);
            }
            case "garble" -> radio.setGarbled(on(words));
            default -> {
                return false;
            }
        }
        return true;
    }

    private static void setMode(SimulatedRadio radio, String mode) {
        boolean data = mode.startsWith("DATA-");
        radio.front().setMode(data ? mode.substring(5) + "SB" : mode);
        radio.front().setData(data);
    }

    boolean rotator(String knob, Map<String, String> words) throws IOException {
        switch (knob) {
            case "speed" -> rotator.setSpeed(Double.parseDouble(words.getOrDefault("degrees", "12")));
            case "stuck" -> rotator.setStuck(on(words));
            case "power" -> rotator.setPowered(on(words));
            case "cable" -> {
                rotator.setPlugged(on(words));
                replug("windrose", words);
            }
            default -> {
                return false;
            }
        }
        return true;
    }

    boolean time(String knob, Map<String, String> words) {
        switch (knob) {
            case "ahead" -> timeServer.setAhead(Duration.ofMillis(Long.parseLong(words.getOrDefault("ms", "0"))));
            case "up" -> timeServer.setUp(on(words));
            case "in-step" -> timeServer.setInStep(on(words));
            default -> {
                return false;
            }
        }
        return true;
    }

    private void replug(String device, Map<String, String> words) throws IOException {
        if (on(words)) {
            serialLines.pluggedIn(device);
        }
    }

    static boolean on(Map<String, String> words) {
        return !words.getOrDefault("on", "yes").equals("no");
    }
}
