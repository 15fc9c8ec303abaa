package yokebar.standins.backstage;

import java.io.IOException;
import java.io.InputStream;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;
import yokebar.standins.countersign.Countersign;
import yokebar.standins.http.HttpService;
import yokebar.standins.http.HttpService.Answer;
import yokebar.standins.http.HttpService.Request;
import yokebar.standins.program.DigitalProgram;

/** The page and the API that turn the knobs of the stand-ins. */
public final class Backstage implements AutoCloseable {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final TypeReference<Map<String, String>> WORDS = new TypeReference<>() {};

    private final DigitalProgram program;
    private final Countersign countersign;
    private final DeviceKnobs devices;
    private final HttpService http;

    /** @param port 0 for any free port */
    public Backstage(DigitalProgram program, Countersign countersign, DeviceKnobs devices, int port)
            throws IOException {
        this.program = program;
        this.countersign = countersign;
        this.devices = devices;
        this.http = new HttpService(port)
                .on("/api/state", request -> Answer.json(200, state()))
                .on("/api/program/", this::program)
                .on("/api/countersign/", this::countersign)
                .on("/api/radio/", request -> answer(devices.radio(request.path(), words(request))))
                .on("/api/vhf/", request -> answer(devices.vhf(request.path(), words(request))))
                .on("/api/rotator/", request -> answer(devices.rotator(request.path(), words(request))))
                .on("/api/time/", request -> answer(devices.time(request.path(), words(request))))
                .on("/", request -> page());
        http.start();
    }

    public String address() {
        return "http://127.0.0.1:" + http.port() + "/";
    }

    @Override
    public void close() {
        http.close();
    }

    private Map<String, Object> state() {
        Map<String, Object> state = new LinkedHashMap<>();
        state.put("program", Map.of("secondsBetween", program.secondsBetween(), "made", program.made()));
        state.put("countersign", countersign.summary());
        state.putAll(devices.state());
        return state;
    }

    private Answer program(Request request) throws IOException {
        Map<String, String> words = words(request);
        return switch (request.path()) {
            case "contact" -> Answer.json(200, Map.of("sent", program.contact(words)));
            case "repeat" -> Answer.json(200, Map.of("sent", program.repeat()));
            case "send" -> {
                program.send(words.getOrDefault("text", ""));
                yield done();
            }
            case "tune" -> {
                program.tune(Long.parseLong(words.getOrDefault("hz", "14074000")));
                yield done();
            }
            case "tempo" -> {
                program.setSecondsBetween(Double.parseDouble(words.getOrDefault("seconds", "0")));
                yield done();
            }
            default -> unknown();
        };
    }

    private Answer countersign(Request request) throws Exception {
        Map<String, String> words = words(request);
        switch (request.path()) {
            case "up" -> countersign.setUp(true);
            case "down" -> countersign.setUp(false);
            case "delay" ->
                countersign.setQueueDelay(Duration.ofSeconds(Long.parseLong(words.getOrDefault("seconds", "3"))));
            case "refuse" -> countersign.setRefused(words.getOrDefault("call", ""), true);
            case "allow" -> countersign.setRefused(words.getOrDefault("call", ""), false);
            case "lose-answer" -> countersign.loseNextAnswer();
            case "fail" -> countersign.failNext(Integer.parseInt(words.getOrDefault("requests", "1")));
            case "pace" -> countersign.setPaceOfOthers(Double.parseDouble(words.getOrDefault("factor", "1")));
            case "books" -> {
                return Answer.json(200, countersign.books());
            }
            case "authority" -> {
                return new Answer(
                        200,
                        "application/x-pem-file",
                        countersign.authority().pem().getBytes());
            }
            case "identity" -> {
                byte[] file = countersign
                        .authority()
                        .issue(
                                words.getOrDefault("call", Countersign.ACCOUNT),
                                Instant.parse(words.getOrDefault("from", "1990-01-01T00:00:00Z")),
                                Instant.parse(words.getOrDefault("until", "2099-12-31T23:59:59Z")),
                                words.getOrDefault("passphrase", "lamp"));
                return new Answer(200, "application/x-pkcs12", file);
            }
            default -> {
                return unknown();
            }
        }
        return done();
    }

    private static Map<String, String> words(Request request) {
        return request.body().length == 0 ? Map.of() : JSON.readValue(request.body(), WORDS);
    }

    private static Answer answer(boolean done) {
        return done ? done() : unknown();
    }

    private static Answer done() {
        return Answer.json(200, Map.of("done", true));
    }

    private static Answer unknown() {
        return Answer.json(404, Map.of("words", "Backstage has no such knob"));
    }

    private static Answer page() throws IOException {
        try (InputStream in = Backstage.class.getResourceAsStream("page.html")) {
            if (in == null) {
                throw new IllegalStateException("page.html is missing");
            }
            return new Answer(200, "text/html; charset=utf-8", in.readAllBytes());
        }
    }
}
