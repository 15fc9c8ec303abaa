package yokebar.standins.backstage;

import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import yokebar.standins.callbook.WhosThere;
import yokebar.standins.countersign.Countersign;
import yokebar.standins.http.HttpService.Answer;
import yokebar.standins.reference.Almanac;

/** What Backstage does to the services on the network. */
public final class ServiceKnobs {
    private final Countersign countersign;
    private final WhosThere callbook;
    private final Almanac almanac;

    public ServiceKnobs(Countersign countersign, WhosThere callbook, Almanac almanac) {
        this.countersign = countersign;
        this.callbook = callbook;
        this.almanac = almanac;
    }

    Map<String, Object> state() {
        Map<String, Object> state = new LinkedHashMap<>();
        state.put("countersign", countersign.summary());
        state.put("callbook", callbook.summary());
        state.put("reference", almanac.summary());
        return state;
    }

    /** Answers whether there is such a knob. */
    boolean callbook(String knob, Map<String, String> words) throws IOException {
        switch (knob) {
            case "up" -> callbook.setUp(DeviceKnobs.on(words));
            case "slow" -> callbook.setSlowMs(Long.parseLong(words.getOrDefault("ms", "0")));
            case "end-sessions" -> callbook.endSessions();
            default -> {
                return false;
            }
        }
        return true;
    }

    /** Answers whether there is such a knob. */
    boolean reference(String knob, Map<String, String> words) throws IOException {
        switch (knob) {
            case "up" -> almanac.setUp(DeviceKnobs.on(words));
            case "publish" -> {
                return almanac.publish(
                        words.getOrDefault("file", Almanac.ENTITIES),
                        words.getOrDefault("edition", "2026-12-01"),
                        words.getOrDefault("line", ""));
            }
            case "damaged" -> almanac.setDamaged(DeviceKnobs.on(words));
            default -> {
                return false;
            }
        }
        return true;
    }

    Answer countersign(String knob, Map<String, String> words) throws Exception {
        switch (knob) {
            case "delay" ->
                countersign.setQueueDelay(Duration.ofSeconds(Long.parseLong(words.getOrDefault("seconds", "3"))));
            case "pace" -> countersign.setPaceOfOthers(Double.parseDouble(words.getOrDefault("factor", "1")));
            case "bust" -> countersign.bustNext();
            case "old-confirmation" ->
                countersign.confirm(
                        Map.of(
                                "STATION_CALLSIGN",
                                words.getOrDefault("ownCall", Countersign.ACCOUNT),
                                "CALL",
                                words.getOrDefault("call", "ZP5QXA"),
                                "BAND",
                                words.getOrDefault("band", "20m"),
                                "MODE",
                                words.getOrDefault("mode", "CW"),
                                "QSO_DATE",
                                words.getOrDefault("date", "20160501"),
                                "TIME_ON",
                                words.getOrDefault("time", "1407")),
                        words.containsKey("receivedAt") ? Instant.parse(words.get("receivedAt")) : Instant.now());
            case "letters" -> {
                return Answer.json(200, countersign.enrolment().letters());
            }
            case "certificates-end" -> {
                String end = words.getOrDefault("at", "");
                countersign.enrolment().setCertificatesEnd(end.isEmpty() ? null : Instant.parse(end));
            }
            case "revoke" -> countersign.authority().revoke(words.getOrDefault("call", ""));
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
                return countersign.turn(knob, words) ? Backstage.done() : Backstage.unknown();
            }
        }
        return Backstage.done();
    }
}
