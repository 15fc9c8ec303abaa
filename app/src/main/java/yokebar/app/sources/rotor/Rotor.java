package yokebar.app.sources.rotor;

import java.time.Clock;
import java.util.Optional;
import yokebar.app.sources.hookup.DeviceHookup;
import yokebar.app.sources.hookup.Hookup;
import yokebar.core.sources.rotor.RotorState;
import yokebar.links.platform.wire.DeviceAddress;
import yokebar.links.sources.rotor.RotorLink;

/** One rotator: how it is set up, and its coupling. */
final class Rotor {
    private final RotorRow row;
    private final DeviceHookup<RotorLink> hookup;

    /** To be told of what changes. */
    interface Listener {
        void turned(Rotor rotor);

        void linkChanged(Rotor rotor);
    }

    Rotor(RotorRow row, Clock clock, Listener listener) {
        this.row = row;
        DeviceAddress address = DeviceAddress.of(row.address, row.baud);
        this.hookup = new DeviceHookup<>(
                hookupId(row.number()),
                Hookup.Kind.DEVICE,
                row.name,
                address.words(),
                clock,
                () -> new RotorLink(
                        row.name,
                        address,
                        row.travel(),
                        row.toleranceDegrees,
                        clock,
                        state -> listener.turned(this),
                        status -> listener.linkChanged(this)),
                this::proof,
                () -> {
                    listener.turned(this);
                    listener.linkChanged(this);
                });
    }

    static String hookupId(long rotorId) {
        return "rotor-" + rotorId;
    }

    RotorRow row() {
        return row;
    }

    DeviceHookup<RotorLink> hookup() {
        return hookup;
    }

    RotorState state() {
        return hookup.link().map(RotorLink::state).orElse(RotorState.UNKNOWN);
    }

    private Optional<String> proof(RotorLink link) {
        return Optional.ofNullable(link.state().headingDegrees())
                .map(heading -> row.name + " answers: the antenna points to " + Math.round(heading) + "°.");
    }
}
