package yokebar.app.operate.contest.sending;

import java.util.Set;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.sources.radio.RadioTexts;
import yokebar.app.station.position.Positions;
import yokebar.core.operate.contest.sending.NextStep;
import yokebar.core.operate.contest.sending.TextSlot;
import yokebar.core.operate.contest.sending.TextTemplate;
import yokebar.core.operate.contest.sending.WayOfWorking;

/** Sends the texts of a contest with the radio of a position, one for each key that is pressed. */
@Service
public class TextSending {
    private final ContestTexts texts;
    private final RadioTexts radioTexts;
    private final Positions positions;

    TextSending(ContestTexts texts, RadioTexts radioTexts, Positions positions) {
        this.texts = texts;
        this.radioTexts = radioTexts;
        this.positions = positions;
    }

    /**
     * What the next-step key does.
     *
     * @param slot the text that it sends; null when it sends none
     * @param text as it is sent
     * @param logs whether the contact is logged with it
     */
    public record NextText(@Nullable TextSlot slot, String text, boolean logs) {}

    /**
     * What became of a text.
     *
     * @param slot which one it was
     * @param text as it is being sent; empty when nothing is
     * @param logs whether the contact is to be logged now
     * @param problem why it was not sent though the contact is to be logged; empty otherwise
     */
    public record SentText(TextSlot slot, String text, boolean logs, String problem) {}

    /** Why no text is sent at a position now, in a sentence; null when texts are. */
    public @Nullable String obstacle(@Nullable Long positionId) {
        return radioTexts.obstacle(radioOf(positionId));
    }

    /** Null for the first radio. */
    private @Nullable Long radioOf(@Nullable Long positionId) {
        return positions.radioOf(positionId).orElse(null);
    }

    /** What the key would do now. */
    public NextText next(WayOfWorking way, Set<TextSlot> sent, SpokenLine line) {
        NextStep step = line.next(way, sent);
        String text = step.slot() == null ? "" : texts.text(way, step.slot()).with(line.values());
        return new NextText(step.slot(), text, step.logs());
    }

    /**
     * Does what comes next.
     *
     * @param withSerial gives the line with the serial that is its own from then on; only asked when a serial is sent
     */
    public SentText takeNext(
            @Nullable Long positionId,
            WayOfWorking way,
            Set<TextSlot> sent,
            SpokenLine line,
            Supplier<SpokenLine> withSerial) {
        NextStep step = line.next(way, sent);
        TextSlot slot = step.slot();
        if (slot == null) {
            throw new Rejection("text", "Type the call of the station that you want to call.");
        }
        if (slot == TextSlot.AGAIN && line.values().missing().isEmpty()) {
            throw new Rejection("text", line.problem());
        }
        try {
            return new SentText(slot, send(positionId, texts.text(way, slot), line, withSerial), step.logs(), "");
        } catch (Rejection e) {
            if (slot == TextSlot.THANKS) {
                // The contact was made, whether the other station hears that or not.
                return new SentText(slot, "", step.logs(), e.sentence());
            }
            throw e;
        }
    }

    /** Sends the text of a key. */
    public SentText sendFrom(
            @Nullable Long positionId,
            WayOfWorking way,
            TextSlot slot,
            SpokenLine line,
            Supplier<SpokenLine> withSerial) {
        TextTemplate template = texts.text(way, slot);
        if (template.text().isEmpty()) {
            throw new Rejection("text", "There is no text on " + slot + " yet.");
        }
        return new SentText(slot, send(positionId, template, line, withSerial), false, "");
    }

    private String send(
            @Nullable Long positionId, TextTemplate template, SpokenLine line, Supplier<SpokenLine> withSerial) {
        String obstacle = obstacle(positionId);
        if (obstacle != null) {
            throw new Rejection("text", obstacle);
        }
        SpokenLine said = template.givesSerial() ? withSerial.get() : line;
        String text = template.with(said.values());
        if (!text.isEmpty()) {
            radioTexts.send(radioOf(positionId), text);
        }
        return text;
    }
}
