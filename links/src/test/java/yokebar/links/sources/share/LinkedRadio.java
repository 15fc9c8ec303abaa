package yokebar.links.sources.share;

import java.util.concurrent.CompletableFuture;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import yokebar.core.sources.radio.RadioCommand;
import yokebar.core.sources.radio.RadioState;
import yokebar.links.sources.radio.CommandOutcome;
import yokebar.links.sources.radio.Keying;
import yokebar.links.sources.radio.RadioLink;

/** A link as a sharing port sees it. */
record LinkedRadio(Supplier<RadioLink> link, BooleanSupplier permission) implements SharedRadio {
    @Override
    public RadioState state() {
        return link.get().state();
    }

    @Override
    public CompletableFuture<CommandOutcome> tell(RadioCommand command) {
        return link.get().tell(command);
    }

    @Override
    public long maxHz() {
        return 99_999_999_999L;
    }

    @Override
    public Keying.Answer press(Object program, boolean text) {
        return text
                ? link.get().keying().pressForText(program)
                : link.get().keying().press(program);
    }

    @Override
    public boolean release(Object program) {
        return link.get().keying().release(program);
    }

    @Override
    public boolean mayCommand(Object program) {
        return link.get().keying().mayCommand(program);
    }

    @Override
    public boolean isKeyedBy(Object program) {
        return link.get().keying().owner() == program;
    }

    @Override
    public boolean mayTransmit() {
        return permission.getAsBoolean();
    }
}
