package yokebar.app.sources.radio;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Locale;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import org.jspecify.annotations.Nullable;
import yokebar.app.sources.hookup.DeviceHookup;
import yokebar.app.sources.hookup.Hookup;
import yokebar.core.sources.radio.RadioCommand;
import yokebar.core.sources.radio.RadioState;
import yokebar.links.platform.wire.DeviceAddress;
import yokebar.links.sources.radio.CommandOutcome;
import yokebar.links.sources.radio.Keying;
import yokebar.links.sources.radio.RadioDialects;
import yokebar.links.sources.radio.RadioEndpoint;
import yokebar.links.sources.radio.RadioLink;
import yokebar.links.sources.share.SharedRadio;

/** One radio: how it is set up, its coupling, and its sharing with other programs. */
final class Radio implements SharedRadio {
    private final RadioRow row;
    private final Clock clock;
    private final Listener listener;
    private final Sharing sharing;
    private final DeviceHookup<RadioLink> hookup;
    private final RadioEndpoint endpoint;
    private final long maxHz;
    /** Who transmits when a text is sent for the operator. */
    private final Object operator = new Object();

    private volatile @Nullable Instant cutOff;
    private volatile String text = "";
    private volatile String textProblem = "";

    /** To be told of what changes. */
    interface Listener {
        void moved(Radio radio);

        void linkChanged(Radio radio);

        /** It is about to be keyed, or reported that it receives. */
        void leftKeyed(Radio radio, boolean on);
    }

    Radio(RadioRow row, RadioDialects dialects, Clock clock, Listener listener) {
        this.row = row;
        this.clock = clock;
        this.listener = listener;
        this.endpoint = new RadioEndpoint(
                row.dialect, new RadioDialects.Options(row.bus, row.fullPowerW), row.address, row.baud);
        DeviceAddress address = endpoint.reachedAt(dialects);
        this.maxHz = endpoint.speaks(dialects).maxHz();
        this.sharing = new Sharing(row.sharePort, this, clock, () -> listener.moved(this));
        RadioLink.Habits habits =
                new RadioLink.Habits(Duration.ofMillis(row.pollEveryMs), Duration.ofSeconds(row.keyingLimitS));
        this.hookup = new DeviceHookup<>(
                hookupId(row.number()),
                Hookup.Kind.DEVICE,
                row.name,
                address.words(),
                clock,
                () -> new RadioLink(
                        row.name,
                        address,
                        () -> endpoint.speaks(dialects),
                        habits,
                        clock,
                        new RadioLink.Listeners(
                                state -> moved(),
                                status -> listener.linkChanged(this),
                                this::keyingChanged,
                                on -> listener.leftKeyed(this, on))),
                this::proof,
                () -> {
                    listener.moved(this);
                    listener.linkChanged(this);
                });
    }

    static String hookupId(long radioId) {
        return "radio-" + radioId;
    }

    RadioRow row() {
        return row;
    }

    RadioEndpoint endpoint() {
        return endpoint;
    }

    DeviceHookup<RadioLink> hookup() {
        return hookup;
    }

    Sharing sharing() {
        return sharing;
    }

    /** When the limit last ended a transmission, UTC; null when it never did. */
    @Nullable
    Instant cutOff() {
        return cutOff;
    }

    /** Connects if the operator wants it so, and opens the sharing port. */
    void start(boolean connected) {
        sharing.open();
        if (connected) {
            hookup.connect();
        }
    }

    void stop() {
        sharing.close();
        hookup.disconnect();
    }

    private void moved() {
        sharing.moved();
        listener.moved(this);
    }

    private void keyingChanged() {
        keying().map(Keying::takeStopped).ifPresent(program -> {
            cutOff = clock.instant();
            sharing.stopped(program);
        });
        listener.moved(this);
    }

    private Optional<Keying> keying() {
        return hookup.link().map(RadioLink::keying);
    }

    @Override
    public RadioState state() {
        return hookup.link().map(RadioLink::state).orElse(RadioState.UNKNOWN);
    }

    @Override
    public CompletableFuture<CommandOutcome> tell(RadioCommand command) {
        return hookup.link()
                .map(link -> link.tell(command))
                .orElseGet(() -> CompletableFuture.completedFuture(CommandOutcome.DROPPED));
    }

    @Override
    public long maxHz() {
        return maxHz;
    }

    @Override
    public Keying.Answer press(Object program, boolean text) {
        return keying().map(keying -> text ? keying.pressForText(program) : keying.press(program))
                .orElse(Keying.Answer.NOT_CONNECTED);
    }

    @Override
    public boolean release(Object program) {
        return keying().map(keying -> keying.release(program)).orElse(true);
    }

    /** The operator at the interface is nobody in particular. */
    boolean mayCommand() {
        return keying().map(keying -> keying.mayCommand(null)).orElse(true);
    }

    @Override
    public boolean mayCommand(Object program) {
        return keying().map(keying -> keying.mayCommand(program)).orElse(true);
    }

    @Override
    public boolean isKeyedBy(Object program) {
        return keying().map(Keying::owner).filter(owner -> owner == program).isPresent();
    }

    /** Asks to have texts keyed for the operator. */
    Keying.Answer pressForText(String what) {
        return press(what, true);
    }

    /** Asks to transmit while a program sends texts for the operator. */
    Keying.Answer pressForTeletype(String what) {
        return press(what, false);
    }

    private Keying.Answer press(String what, boolean keyer) {
        Keying.Answer answer = press(operator, keyer);
        if (answer == Keying.Answer.YES) {
            text = what;
            textProblem = "";
            listener.moved(this);
        }
        return answer;
    }

    /** @param problem why a text was not sent to its end; empty when it was */
    void textEnded(String problem) {
        if (!problem.isEmpty()) {
            textProblem = problem;
            listener.moved(this);
        }
    }

    /** Why the last text was not sent to its end; empty when it was, or is being sent. */
    String textProblem() {
        return textProblem;
    }

    /** Ends a text that is being sent for the operator, and those behind it, unless a program transmits. */
    void stopText() {
        keying().ifPresent(keying -> keying.stopText(operator));
    }

    boolean isKeyedForOperator() {
        return isKeyedBy(operator);
    }

    /** What is sent for the operator now; null when nothing is. */
    @Nullable
    String sendingText() {
        return isKeyedForOperator() ? text : null;
    }

    @Override
    public boolean mayTransmit() {
        return row.shareTransmit;
    }

    private Optional<String> proof(RadioLink link) {
        return Optional.ofNullable(link.state().frequencyHz())
                .map(hz -> row.name + " answers: it is on " + megahertz(hz) + " MHz.");
    }

    /** Grouped as on the readout: {@code 14.074 000}. */
    static String megahertz(long hz) {
        return String.format(Locale.ROOT, "%d.%03d %03d", hz / 1_000_000, hz / 1000 % 1000, hz % 1000);
    }
}
