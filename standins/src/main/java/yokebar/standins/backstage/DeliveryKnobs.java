package yokebar.standins.backstage;

import java.io.IOException;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import yokebar.standins.faircopy.FairCopy;
import yokebar.standins.http.HttpService.Answer;
import yokebar.standins.mail.MailGateway;
import yokebar.standins.postbag.Postbag;
import yokebar.standins.quayside.Quayside;
import yokebar.standins.tallyho.TallyHo;

/** What Backstage does to the services that contacts are handed to, besides Countersign. */
public final class DeliveryKnobs {
    private final Quayside quayside;
    private final Postbag postbag;
    private final MailGateway mail;
    private final TallyHo scoreboard;
    private final FairCopy adjudicator;

    public DeliveryKnobs(
            Quayside quayside, Postbag postbag, MailGateway mail, TallyHo scoreboard, FairCopy adjudicator) {
        this.quayside = quayside;
        this.postbag = postbag;
        this.mail = mail;
        this.scoreboard = scoreboard;
        this.adjudicator = adjudicator;
    }

    Map<String, Object> state() {
        Map<String, Object> state = new LinkedHashMap<>();
        state.put("quayside", quayside.summary());
        state.put("postbag", postbag.summary());
        state.put("mail", mail.summary());
        state.put("scoreboard", scoreboard.summary());
        state.put("adjudicator", adjudicator.summary());
        return state;
    }

    Answer quayside(String knob, Map<String, String> words) throws IOException {
        switch (knob) {
            case "rate" -> quayside.setMostInASecond(Integer.parseInt(words.getOrDefault("requests", "40")));
            case "books" -> {
                return Answer.json(200, quayside.books());
            }
            default -> {
                return quayside.turn(knob, words) ? Backstage.done() : Backstage.unknown();
            }
        }
        return Backstage.done();
    }

    Answer postbag(String knob, Map<String, String> words) throws IOException {
        switch (knob) {
            case "pace" -> postbag.setPaceOfOthers(Double.parseDouble(words.getOrDefault("factor", "1")));
            case "card" -> {
                Map<String, String> fields = new LinkedHashMap<>(words);
                fields.putIfAbsent("STATION_CALLSIGN", "CU9QYB");
                fields.putIfAbsent("BAND", "20m");
                fields.putIfAbsent("MODE", "CW");
                fields.putIfAbsent("TIME_ON", "1407");
                postbag.send(fields, Instant.now());
            }
            case "books" -> {
                return Answer.json(200, postbag.books());
            }
            default -> {
                return postbag.turn(knob, words) ? Backstage.done() : Backstage.unknown();
            }
        }
        return Backstage.done();
    }

    /** Answers whether there is such a knob. */
    boolean scoreboard(String knob, Map<String, String> words) throws IOException {
        if (knob.equals("every")) {
            scoreboard.setEverySeconds(Integer.parseInt(words.getOrDefault("seconds", "120")));
            return true;
        }
        return scoreboard.turn(knob, words);
    }

    /** Answers whether there is such a knob. */
    boolean adjudicator(String knob, Map<String, String> words) throws IOException {
        if (knob.equals("check")) {
            adjudicator.setCheckTakes(Duration.ofSeconds(Long.parseLong(words.getOrDefault("seconds", "60"))));
            return true;
        }
        return adjudicator.turn(knob, words);
    }

    /** Answers whether there is such a knob. */
    boolean mail(String knob, Map<String, String> words) throws IOException {
        switch (knob) {
            case "up" -> mail.setUp(DeviceKnobs.on(words));
            case "speed" -> mail.setBytesPerSecond(Integer.parseInt(words.getOrDefault("bytes", "2000")));
            case "drop" -> mail.dropAfter(Integer.parseInt(words.getOrDefault("bytes", "4000")));
            default -> {
                return false;
            }
        }
        return true;
    }
}
