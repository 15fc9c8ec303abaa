package yokebar.standins.backstage;

import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Map;
import yokebar.standins.device.HfRadio;
import yokebar.standins.device.Rotator;
import yokebar.standins.device.SimulatedRadio;
import yokebar.standins.device.VhfRadio;

/** What Backstage does to the devices. Each answers whether there is such a knob. */
final class DeviceKnobs {
    private final HfRadio hf;
    private final VhfRadio vhf;
    private final Rotator rotator;

    DeviceKnobs(HfRadio hf, VhfRadio vhf, Rotator rotator) {
        this.hf = hf;
        this.vhf = vhf;
        this.rotator = rotator;
    }

    Map<String, Object> state() {
        Map<String, Object> state = new LinkedHashMap<>();
        state.put("radio", hf.state());
        state.put("vhf", vhf.state());
        state.put("rotator", rotator.state());
        return state;
    }

    boolean radio(String knob, Map<String, String> words) throws IOException {
        return turn(hf, knob, words);
    }

    boolean vhf(String knob, Map<String, String> words) throws IOException {
        return turn(vhf, knob, words);
    }

    private static boolean turn(SimulatedRadio radio, String knob, Map<String, String> words) throws IOException {
        switch (knob) {
            case "turn" -> radio.front().turn(Long.parseLong(words.getOrDefault("hz", "100")));
            case "tune" -> radio.front().tune(false, Long.parseLong(words.getOrDefault("hz", "14074000")));
            case "mode" -> setMode(radio, words.getOrDefault("mode", "USB"));
            case "watts" -> radio.front().setPowerW(Integer.parseInt(words.getOrDefault("watts", "100")));
            case "split" -> radio.front().setSplit(on(words));
            case "key" -> radio.front().key(on(words));
            case "power" -> radio.setPowered(on(words));
            case "cable" -> radio.setPlugged(on(words));
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
            case "cable" -> rotator.setPlugged(on(words));
            default -> {
                return false;
            }
        }
        return true;
    }

    private static boolean on(Map<String, String> words) {
        return !words.getOrDefault("on", "yes").equals("no");
    }
}
