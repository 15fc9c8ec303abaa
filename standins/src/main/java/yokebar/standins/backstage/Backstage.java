package yokebar.standins.backstage;

import java.io.IOException;
import java.io.InputStream;
import java.util.LinkedHashMap;
import java.util.Map;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;
import yokebar.standins.http.HttpService;
import yokebar.standins.http.HttpService.Answer;
import yokebar.standins.http.HttpService.Request;

/** The page and the API that turn the knobs of the stand-ins. */
public final class Backstage implements AutoCloseable {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final TypeReference<Map<String, String>> WORDS = new TypeReference<>() {};

    private static final Map<String, String> TYPES = Map.of(
            "page.html", "text/html; charset=utf-8",
            "page.css", "text/css; charset=utf-8",
            "page.js", "text/javascript; charset=utf-8",
            "panels.json", "application/json");

    private final ProgramKnobs programs;
    private final ServiceKnobs services;
    private final DeliveryKnobs deliveries;
    private final DeviceKnobs devices;
    private final AirKnobs air;
    private final HttpService http;

    /** @param port 0 for any free port */
    public Backstage(
            ProgramKnobs programs,
            ServiceKnobs services,
            DeliveryKnobs deliveries,
            DeviceKnobs devices,
            AirKnobs air,
            int port)
            throws IOException {
        this.programs = programs;
        this.services = services;
        this.deliveries = deliveries;
        this.devices = devices;
        this.air = air;
        this.http = new HttpService(port)
                .on("/api/state", request -> Answer.json(200, state()))
                .on("/api/program/", request -> programs.program(request.path(), words(request)))
                .on("/api/portable/", request -> answer(programs.portable(request.path(), words(request))))
                .on("/api/linked/", request -> answer(programs.linked(request.path(), words(request))))
                .on("/api/slowscan/", request -> programs.slowScan(request.path(), words(request)))
                .on("/api/sandpiper/", request -> answer(programs.decoder("sandpiper", request.path(), words(request))))
                .on("/api/dunlin/", request -> answer(programs.decoder("dunlin", request.path(), words(request))))
                .on("/api/net/", request -> programs.net(request.path(), words(request)))
                .on("/api/countersign/", request -> services.countersign(request.path(), words(request)))
                .on("/api/quayside/", request -> deliveries.quayside(request.path(), words(request)))
                .on("/api/postbag/", request -> deliveries.postbag(request.path(), words(request)))
                .on("/api/mail/", request -> answer(deliveries.mail(request.path(), words(request))))
                .on("/api/scoreboard/", request -> answer(deliveries.scoreboard(request.path(), words(request))))
                .on("/api/adjudicator/", request -> answer(deliveries.adjudicator(request.path(), words(request))))
                .on("/api/callbook/", request -> answer(services.callbook(request.path(), words(request))))
                .on("/api/reference/", request -> answer(services.reference(request.path(), words(request))))
                .on("/api/radio/", request -> answer(devices.radio(request.path(), words(request))))
                .on("/api/vhf/", request -> answer(devices.vhf(request.path(), words(request))))
                .on("/api/rotator/", request -> answer(devices.rotator(request.path(), words(request))))
                .on("/api/air/", request -> answer(air.air(request.path(), words(request))))
                .on("/api/node/", request -> air.node(request.path(), words(request)))
                .on("/api/skimmer/", request -> answer(air.skimmer(request.path(), words(request))))
                .on("/api/time/", request -> answer(devices.time(request.path(), words(request))))
                .on("/", request -> page(request.path()));
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
        state.putAll(programs.state());
        state.putAll(services.state());
        state.putAll(deliveries.state());
        state.putAll(devices.state());
        state.putAll(air.state());
        return state;
    }

    private static Map<String, String> words(Request request) {
        return request.body().length == 0 ? Map.of() : JSON.readValue(request.body(), WORDS);
    }

    private static Answer answer(boolean done) {
        return done ? done() : unknown();
    }

    static Answer done() {
        return Answer.json(200, Map.of("done", true));
    }

    static Answer unknown() {
        return Answer.json(404, Map.of("words", "Backstage has no such knob"));
    }

    /** The page and its parts; what is asked for under another name is not there. */
    private static Answer page(String path) throws IOException {
        String file = path.isEmpty() ? "page.html" : path;
        String type = TYPES.get(file);
        if (type == null) {
            return Answer.json(404, Map.of("words", "Backstage has no such page"));
        }
        try (InputStream in = Backstage.class.getResourceAsStream(file)) {
            if (in == null) {
                throw new IllegalStateException(file + " is missing");
            }
            return new Answer(200, type, in.readAllBytes());
        }
    }
}
