package yokebar.app.radio;

import java.time.Clock;
import java.time.Duration;
import java.util.Locale;
import java.util.Optional;
import yokebar.app.hookup.DeviceHookup;
import yokebar.core.radio.RadioCommand;
import yokebar.core.radio.RadioState;
import yokebar.links.radio.RadioDialects;
import yokebar.links.radio.RadioLink;
import yokebar.links.share.SharedRadio;
import yokebar.links.wire.DeviceAddress;

/** One radio: how it is set up, its coupling, and its sharing with other programs. */
final class Radio implements SharedRadio {
    private final RadioRow row;
    private final Sharing sharing;
    private final DeviceHookup<RadioLink> hookup;

    /** To be told of what changes. */
    interface Listener {
        void moved(Radio radio);

        void linkChanged(Radio radio);
    }

    Radio(RadioRow row, RadioDialects dialects, Clock clock, Listener listener) {
        this.row = row;
        DeviceAddress address = DeviceAddress.of(row.address, row.baud);
        RadioDialects.Entry dialect = dialects.named(row.dialect);
        RadioDialects.Options options = new RadioDialects.Options(row.bus, row.fullPowerW);
        this.sharing = new Sharing(row.sharePort, this, clock, () -> listener.moved(this));
        this.hookup = new DeviceHookup<>(
                hookupId(row.number()),
                row.name,
                address.words(),
                clock,
                () -> new RadioLink(
                        row.name,
                        address,
                        () -> dialect.make().apply(options),
                        Duration.ofMillis(row.pollEveryMs),
                        clock,
                        state -> {
                            sharing.moved();
                            listener.moved(this);
                        },
                        status -> listener.linkChanged(this)),
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

    DeviceHookup<RadioLink> hookup() {
        return hookup;
    }

    Sharing sharing() {
        return sharing;
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

    @Override
    public RadioState state() {
        return hookup.link().map(RadioLink::state).orElse(RadioState.UNKNOWN);
    }

    @Override
    public void tell(RadioCommand command) {
        hookup.link().ifPresent(link -> link.tell(command));
    }

    private Optional<String> proof(RadioLink link) {
        return Optional.ofNullable(link.state().frequencyHz())
                .map(hz -> row.name + " answers: it is on " + megahertz(hz) + " MHz.");
    }

    /** Grouped as on the readout: {@code 14.074 000}. */
    private static String megahertz(long hz) {
        return String.format(Locale.ROOT, "%d.%03d %03d", hz / 1_000_000, hz / 1000 % 1000, hz % 1000);
    }
}
