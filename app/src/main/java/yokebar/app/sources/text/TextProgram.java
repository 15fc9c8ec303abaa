package yokebar.app.sources.text;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.atomic.AtomicBoolean;
import org.jspecify.annotations.Nullable;
import yokebar.app.sources.hookup.DeviceHookup;
import yokebar.app.sources.hookup.Hookup;
import yokebar.links.platform.status.LinkStatus;
import yokebar.links.platform.wire.DeviceAddress;
import yokebar.links.sources.text.TextFeedLink;
import yokebar.links.sources.text.TextFeedMessage;

/** One program with decoders: how it is set up, and its coupling. */
final class TextProgram {
    private final TextProgramRow row;
    private final DeviceHookup<TextFeedLink> hookup;
    private final Listener listener;
    private final AtomicBoolean moved = new AtomicBoolean();
    private final SentTexts texts;
    private volatile TextFeedMessage.@Nullable Program said;

    /** To be told of what it receives. */
    interface Listener {
        void heard(TextProgram program, TextFeedMessage.Character character);

        void linkChanged(TextProgram program);
    }

    TextProgram(TextProgramRow row, Clock clock, Listener listener) {
        this.row = row;
        this.listener = listener;
        this.texts = new SentTexts(row.name);
        DeviceAddress address = DeviceAddress.of(row.address, null);
        this.hookup = new DeviceHookup<>(
                hookupId(row.number()),
                Hookup.Kind.TEXT,
                row.name,
                address.words(),
                clock,
                () -> new TextFeedLink(row.name, address, clock, this::take, this::changed),
                link -> Optional.ofNullable(said)
                        .map(program -> program.program() + " is connected. Its decoders: "
                                + String.join(", ", program.decoders()) + "."),
                () -> changed(null));
    }

    static String hookupId(long id) {
        return "text-" + id;
    }

    TextProgramRow row() {
        return row;
    }

    DeviceHookup<TextFeedLink> hookup() {
        return hookup;
    }

    /** As the program named them; empty until it has. */
    List<String> decoders() {
        TextFeedMessage.Program program = said;
        return program == null ? List.of() : program.decoders();
    }

    /** How near it is to sending, among those that would not: what hinders the nearest is what has to be mended. */
    int nearness() {
        TextFeedMessage.Program program = said;
        boolean sends = program != null && program.sends();
        return sends ? 2 : row.sendTexts ? 1 : 0;
    }

    /** Why it would send no text now, in a sentence; null when it would. */
    @Nullable
    String obstacle() {
        TextFeedMessage.Program program = said;
        if (program == null) {
            return row.name + " is not connected, so no text is sent.";
        }
        if (!program.sends()) {
            return row.name + " only receives, so no text is sent.";
        }
        return row.sendTexts
                ? null
                : row.name + " is not allowed to send texts. Allow it where it is set up, under Hookups.";
    }

    /** @return completed with why it was not sent to its end; with an empty text when it was, or was stopped */
    CompletableFuture<String> send(String text) {
        String obstacle = obstacle();
        return hookup.link()
                .filter(link -> obstacle == null)
                .map(link -> texts.send(link, text))
                .orElseGet(() -> CompletableFuture.completedFuture(
                        obstacle == null ? row.name + " is switched off, so no text is sent." : obstacle));
    }

    /** Ends what it sends, and what waits behind it. */
    void stopSending() {
        hookup.link().ifPresent(TextFeedLink::stopSending);
        texts.endAll("");
    }

    private void take(TextFeedMessage message) {
        texts.hear(message);
        if (message instanceof TextFeedMessage.Program program) {
            said = program;
            listener.linkChanged(this);
        } else if (message instanceof TextFeedMessage.Character character) {
            hookup.activity().moved(1, "Characters received");
            moved.set(true);
            listener.heard(this, character);
        }
    }

    /** Whether characters came since this was asked last. */
    boolean movedSinceAsked() {
        return moved.getAndSet(false);
    }

    private void changed(@Nullable LinkStatus status) {
        if (status == null || !status.state().works()) {
            said = null;
            texts.endAll("The connection to " + row.name + " was lost while it sent.");
        }
        listener.linkChanged(this);
    }
}
