package yokebar.app.sources.text;

import java.time.Clock;
import java.util.List;
import java.util.Optional;
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
    private volatile TextFeedMessage.@Nullable Program said;

    /** To be told of what it receives. */
    interface Listener {
        void heard(TextProgram program, TextFeedMessage.Character character);

        void linkChanged(TextProgram program);
    }

    TextProgram(TextProgramRow row, Clock clock, Listener listener) {
        this.row = row;
        this.listener = listener;
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

    private void take(TextFeedMessage message) {
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
        }
        listener.linkChanged(this);
    }
}
