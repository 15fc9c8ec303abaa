package yokebar.app.sources.radio;

import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.sources.radio.RadioCommand;
import yokebar.core.sources.radio.RadioMode;
import yokebar.links.sources.radio.Keying;

/**
 * Texts that are sent for the operator, by the radio's keyer in CW or by a program in radioteletype: each because a key was pressed
 * just then. One that is sent while another still is waits for its turn. The time limit of the radio holds for them as for
 * everything.
 */
@Service
public class RadioTexts {
    private final Radios radios;
    private final TeletypeTexts teletype;

    RadioTexts(Radios radios, TeletypeTexts teletype) {
        this.radios = radios;
        this.teletype = teletype;
    }

    /**
     * Why a radio would send no text now, in a sentence; null when it would.
     *
     * @param id null for the first radio
     */
    public @Nullable String obstacle(@Nullable Long id) {
        Radio radio = id == null ? radios.first().map(radios::find).orElse(null) : radios.find(id);
        if (radio == null || !radio.hookup().live()) {
            return "No radio is connected, so no text is sent.";
        }
        String name = radio.row().name;
        if (!radio.row().sendTexts) {
            return name + " is not allowed to send texts. Allow it where the radio is set up, under Hookups.";
        }
        if (TeletypeTexts.isFor(radio)) {
            return teletype.obstacle();
        }
        RadioMode mode = radio.state().mode();
        return mode == RadioMode.CW || mode == RadioMode.CW_REVERSE
                ? null
                : "Texts are sent in CW and radioteletype; " + name + " is on "
                        + (mode == null ? "no known mode" : mode.label()) + ".";
    }

    /**
     * Sends a text.
     *
     * @param id null for the first radio
     * @param text of what a keyer can send
     * @throws Rejection when it is not sent; nothing is transmitted then
     */
    public void send(@Nullable Long id, String text) {
        String obstacle = obstacle(id);
        if (obstacle != null) {
            throw new Rejection("text", obstacle);
        }
        Radio radio = radios.connected(id == null ? radios.first().orElseThrow() : id);
        if (TeletypeTexts.isFor(radio)) {
            teletype.send(radio, text);
            return;
        }
        Keying.Answer answer = radio.pressForText(text);
        if (answer != Keying.Answer.YES) {
            throw new Rejection("text", "Not sent: " + why(answer, radio.row().name) + ".");
        }
        try {
            GivenCommands.sendText(radio, text);
        } catch (Rejection e) {
            radio.stopText();
            throw e;
        }
    }

    /** Ends the text that is being sent, and those that wait. */
    void stop(long id) {
        Radio radio = radios.find(id);
        if (radio == null) {
            throw new Rejection("id", "There is no radio " + id + ".");
        }
        teletype.stop(radio);
    }

    /** @throws Rejection when the radio does not take it */
    void setSpeed(long id, int wordsPerMinute) {
        int slowest = RadioCommand.SetKeyerSpeed.SLOWEST;
        int fastest = RadioCommand.SetKeyerSpeed.FASTEST;
        if (wordsPerMinute < slowest || wordsPerMinute > fastest) {
            throw new Rejection("wordsPerMinute", "A keyer sends " + slowest + " to " + fastest + " words a minute.");
        }
        GivenCommands.setKeyerSpeed(radios.connected(id), wordsPerMinute);
    }

    static String why(Keying.Answer answer, String name) {
        return switch (answer) {
            case YES -> "";
            case KEYED_BY_ANOTHER -> "a program is transmitting with " + name;
            case TRANSMITTING -> name + " is transmitting already";
            case ENDING -> name + " has just been set to receive; try again in a moment";
            case RESTING -> "the last transmission was ended at the time limit a moment ago";
            case NOT_CONNECTED -> name + " is not connected";
        };
    }
}
