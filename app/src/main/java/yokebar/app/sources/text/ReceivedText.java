package yokebar.app.sources.text;

import java.time.Clock;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Service;
import yokebar.core.sources.text.AgreedCharacter;
import yokebar.core.sources.text.AgreedText;
import yokebar.core.sources.text.HeardCharacter;
import yokebar.links.sources.text.TextFeedMessage;

/** The latest of what all decoders received, in memory only. */
@Service
class ReceivedText {
    private static final int SETTLE_EVERY_MS = 250;
    private static final int MAX_AGREED = 1_000;
    private static final int MAX_PRINTED = 500;
    private static final int MAX_DECODERS = 16;
    /** A clock that is further off is not used. */
    private static final long MAX_OFF_MS = 2_000;

    private final Clock clock;
    private final ApplicationEventPublisher events;
    private final AgreedText agreeing = new AgreedText();
    private final Deque<AgreedCharacter> agreed = new ArrayDeque<>();
    private final Map<Decoder, StringBuilder> printed = new LinkedHashMap<>();
    private long latestMs;
    private boolean moved;

    private record Decoder(String program, String name) {
        /** One for each decoder: neither name has a line end. */
        String id() {
            return program + "\n" + name;
        }
    }

    ReceivedText(Clock clock, ApplicationEventPublisher events) {
        this.clock = clock;
        this.events = events;
    }

    /** @param program as the operator named it */
    synchronized void heard(String program, TextFeedMessage.Character character) {
        Decoder decoder = new Decoder(program, character.decoder());
        if (!printed.containsKey(decoder) && printed.size() == MAX_DECODERS) {
            return;
        }
        long now = now();
        long at = Math.abs(character.atMs() - now) > MAX_OFF_MS ? now : character.atMs();
        double certainty = character.certainty() == 0 ? HeardCharacter.UNTOLD : character.certainty();
        agreeing.hear(new HeardCharacter(decoder.id(), at, character.character(), certainty));
        StringBuilder text = printed.computeIfAbsent(decoder, name -> new StringBuilder());
        text.append(character.character());
        if (text.length() > MAX_PRINTED) {
            text.delete(0, text.length() - MAX_PRINTED);
        }
        moved = true;
    }

    /** A program is not listened to any more; what it printed goes with it. */
    void forget(String program) {
        synchronized (this) {
            printed.keySet().removeIf(decoder -> decoder.program().equals(program));
        }
        programsChanged();
    }

    /** Programs came, or gave names to their decoders. */
    void programsChanged() {
        events.publishEvent(new ReceivedTextChanged());
    }

    @Scheduled(fixedDelay = SETTLE_EVERY_MS)
    void settle() {
        if (settled()) {
            events.publishEvent(new ReceivedTextChanged());
        }
    }

    private synchronized boolean settled() {
        add(agreeing.settled(now()));
        boolean news = moved;
        moved = false;
        return news;
    }

    /** ms since 1970; what was received before the clock was set back is agreed on first. */
    private long now() {
        long now = clock.millis();
        if (now < latestMs) {
            add(agreeing.clockSetBack());
        }
        latestMs = now;
        return now;
    }

    private void add(List<AgreedCharacter> more) {
        for (AgreedCharacter one : more) {
            agreed.addLast(one);
            if (agreed.size() > MAX_AGREED) {
                agreed.removeFirst();
            }
            moved = true;
        }
    }

    synchronized ReceivedTextView view() {
        List<ReceivedTextView.AgreedPiece> pieces = new ArrayList<>();
        StringBuilder piece = new StringBuilder();
        boolean doubtful = false;
        for (AgreedCharacter one : agreed) {
            if (one.doubtful() != doubtful && piece.length() > 0) {
                pieces.add(new ReceivedTextView.AgreedPiece(piece.toString(), doubtful));
                piece.setLength(0);
            }
            doubtful = one.doubtful();
            piece.append(one.character());
        }
        if (piece.length() > 0) {
            pieces.add(new ReceivedTextView.AgreedPiece(piece.toString(), doubtful));
        }
        return new ReceivedTextView(
                pieces,
                printed.entrySet().stream()
                        .map(one -> new ReceivedTextView.DecoderText(
                                one.getKey().program() + " " + one.getKey().name(),
                                one.getValue().toString()))
                        .toList());
    }
}
