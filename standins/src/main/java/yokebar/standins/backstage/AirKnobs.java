package yokebar.standins.backstage;

import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import yokebar.standins.air.Air;
import yokebar.standins.cluster.BeaconHill;
import yokebar.standins.cluster.Nightjar;
import yokebar.standins.http.HttpService.Answer;

/** What Backstage does to the air and to those who tell of it. */
public final class AirKnobs {
    private static final String OWN_LOCATOR = "HM49kq";

    private final Air air;
    private final BeaconHill node;
    private final Nightjar skimmer;

    public AirKnobs(Air air, BeaconHill node, Nightjar skimmer) {
        this.air = air;
        this.node = node;
        this.skimmer = skimmer;
    }

    Map<String, Object> state() {
        Map<String, Object> state = new LinkedHashMap<>();
        state.put("air", Map.of("stations", air.onAir().size()));
        state.put("node", node.summary());
        state.put("skimmer", skimmer.summary());
        return state;
    }

    /** Answers whether there is such a knob. */
    boolean air(String knob, Map<String, String> words) {
        switch (knob) {
            case "scene" ->
                air.setScene(
                        Air.Scene.valueOf(words.getOrDefault("scene", "QUIET").toUpperCase(Locale.ROOT)));
            case "wrong" -> air.setWrong(Double.parseDouble(words.getOrDefault("share", "0.02")));
            case "bring" ->
                air.bring(
                        words.getOrDefault("call", "ZP5QXA"),
                        Long.parseLong(words.getOrDefault("hz", "14025000")),
                        words.getOrDefault("mode", "CW"),
                        words.getOrDefault("comment", ""));
            default -> {
                return false;
            }
        }
        return true;
    }

    Answer node(String knob, Map<String, String> words) throws IOException {
        switch (knob) {
            case "up" -> node.setUp(DeviceKnobs.on(words));
            case "drop" -> node.drop();
            case "rate" -> node.setSpotsASecond(Double.parseDouble(words.getOrDefault("spots", "0.5")));
            case "garbage" -> node.setGarbage(Double.parseDouble(words.getOrDefault("share", "0")));
            case "say" -> node.tell(words.getOrDefault("line", ""));
            case "password" -> node.setPassword(words.get("password"));
            case "sun" ->
                node.setSun(
                        Integer.parseInt(words.getOrDefault("flux", "152")),
                        Integer.parseInt(words.getOrDefault("a", "9")),
                        Integer.parseInt(words.getOrDefault("k", "2")));
            case "spot" ->
                node.spot(
                        words.getOrDefault("by", "OZ1QAB"),
                        Double.parseDouble(words.getOrDefault("khz", "14025.0")),
                        words.getOrDefault("call", "ZP5QXA"),
                        words.getOrDefault("comment", ""));
            case "books" -> {
                return Answer.json(200, node.books());
            }
            default -> {
                return Backstage.unknown();
            }
        }
        return Backstage.done();
    }

    /** Answers whether there is such a knob. */
    boolean skimmer(String knob, Map<String, String> words) throws IOException {
        switch (knob) {
            case "up" -> skimmer.setUp(DeviceKnobs.on(words));
            case "drop" -> skimmer.drop();
            case "rate" -> skimmer.setSpotsASecond(Double.parseDouble(words.getOrDefault("spots", "1")));
            case "hear" ->
                skimmer.hear(
                        words.getOrDefault("call", "CU9QYB"),
                        words.getOrDefault("locator", OWN_LOCATOR),
                        Long.parseLong(words.getOrDefault("hz", "14025000")),
                        words.getOrDefault("mode", "CW"),
                        Integer.parseInt(words.getOrDefault("receivers", "5")));
            default -> {
                return false;
            }
        }
        return true;
    }
}
