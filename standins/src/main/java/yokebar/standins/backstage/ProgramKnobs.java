package yokebar.standins.backstage;

import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import yokebar.standins.http.HttpService.Answer;
import yokebar.standins.net.NetVoices;
import yokebar.standins.picture.SlowScanProgram;
import yokebar.standins.program.DigitalProgram;
import yokebar.standins.program.LinkedProgram;
import yokebar.standins.program.PortableDevice;
import yokebar.standins.teletype.TextProgram;

/** What Backstage does to the programs that make contacts and receive pictures, and to the stations of a net. */
public final class ProgramKnobs {
    private final DigitalProgram program;
    private final LinkedProgram linked;
    private final PortableDevice portable;
    private final SlowScanProgram slowScan;
    private final NetVoices voices;
    private final List<TextProgram> decoders;

    public ProgramKnobs(
            DigitalProgram program,
            LinkedProgram linked,
            PortableDevice portable,
            SlowScanProgram slowScan,
            NetVoices voices,
            List<TextProgram> decoders) {
        this.program = program;
        this.linked = linked;
        this.portable = portable;
        this.slowScan = slowScan;
        this.voices = voices;
        this.decoders = decoders;
    }

    Map<String, Object> state() {
        Map<String, Object> state = new LinkedHashMap<>();
        state.put("program", Map.of("secondsBetween", program.secondsBetween(), "made", program.made()));
        state.put("linked", Map.of("made", linked.made(), "waiting", linked.waiting()));
        state.put("portable", Map.of("log", portable.address()));
        state.put("slowscan", slowScan.summary());
        state.put("net", voices.summary());
        decoders.forEach(one -> state.put(one.id(), decoder(one)));
        return state;
    }

    private static Map<String, Object> decoder(TextProgram one) {
        Map<String, Object> state = new LinkedHashMap<>(Map.of("address", one.address(), "listeners", one.listeners()));
        if (one.sends()) {
            state.put("sending", one.sending());
        }
        return state;
    }

    Answer program(String knob, Map<String, String> words) throws IOException {
        return switch (knob) {
            case "contact" -> Answer.json(200, Map.of("sent", program.contact(words)));
            case "repeat" -> Answer.json(200, Map.of("sent", program.repeat()));
            case "send" -> {
                program.send(words.getOrDefault("text", ""));
                yield Backstage.done();
            }
            case "tune" -> {
                program.tune(Long.parseLong(words.getOrDefault("hz", "14074000")));
                yield Backstage.done();
            }
            case "tempo" -> {
                program.setSecondsBetween(Double.parseDouble(words.getOrDefault("seconds", "0")));
                yield Backstage.done();
            }
            default -> Backstage.unknown();
        };
    }

    boolean portable(String knob, Map<String, String> words) throws IOException {
        if (knob.equals("up")) {
            portable.setUp(DeviceKnobs.on(words));
            return true;
        }
        return false;
    }

    /** A program that decodes radioteletype. Answers whether there is such a knob. */
    boolean decoder(String program, String knob, Map<String, String> words) throws IOException {
        for (TextProgram one : decoders) {
            if (one.id().equals(program) && knob.equals("up")) {
                one.setUp(DeviceKnobs.on(words));
                return true;
            }
        }
        return false;
    }

    /** The program on the digital link. Answers whether there is such a knob. */
    boolean linked(String knob, Map<String, String> words) {
        switch (knob) {
            case "contact" -> linked.contact(words.getOrDefault("call", ""));
            case "tune" -> linked.tune(Long.parseLong(words.getOrDefault("hz", "21074000")));
            case "network" ->
                linked.treatBadly(
                        Double.parseDouble(words.getOrDefault("lost", "0")),
                        Double.parseDouble(words.getOrDefault("doubled", "0")));
            default -> {
                return false;
            }
        }
        return true;
    }

    Answer net(String knob, Map<String, String> words) {
        switch (knob) {
            case "meet" -> voices.meet(NetVoices.Net.valueOf(words.getOrDefault("net", "REPEATER")));
            case "end" -> voices.end();
            case "tempo" -> voices.setSecondsBetween(Double.parseDouble(words.getOrDefault("seconds", "4")));
            case "next" -> {
                return Answer.json(200, Map.of("heard", voices.next()));
            }
            default -> {
                return Backstage.unknown();
            }
        }
        return Backstage.done();
    }

    Answer slowScan(String knob, Map<String, String> words) {
        switch (knob) {
            case "receive" -> {
                return Answer.json(
                        200,
                        Map.of(
                                "file",
                                slowScan.receive(words.getOrDefault("call", "")).toString()));
            }
            case "broken" -> slowScan.receiveBroken();
            case "tempo" -> slowScan.setSecondsBetween(Double.parseDouble(words.getOrDefault("seconds", "0")));
            case "slow" -> slowScan.setLineMs(Long.parseLong(words.getOrDefault("ms", "150")));
            case "transmitted" -> {
                return new Answer(200, "image/png", slowScan.lastTransmitted());
            }
            default -> {
                return Backstage.unknown();
            }
        }
        return Backstage.done();
    }
}
