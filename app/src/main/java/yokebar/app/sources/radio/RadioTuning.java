package yokebar.app.sources.radio;

import java.util.Objects;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.mode.Mode;
import yokebar.core.sources.radio.ModeMapping;
import yokebar.core.sources.radio.RadioMode;
import yokebar.core.sources.radio.RadioState;
import yokebar.core.sources.radio.Vfo;

/** Tunes the station's radios, and waits for what they make of it. */
@Service
public class RadioTuning {
    private static final int REPORTS_WITHIN_SECONDS = 2;

    private final Radios radios;
    /** Whoever waits for a radio's report waits on this. */
    private final Object moves = new Object();

    RadioTuning(Radios radios) {
        this.radios = radios;
    }

    @EventListener
    void moved(RadioUpdated moved) {
        synchronized (moves) {
            moves.notifyAll();
        }
    }

    private long numbered(@Nullable Long id) {
        return id != null
                ? id
                : radios.first()
                        .orElseThrow(() ->
                                new Rejection("id", "There is no radio to tune. Connect one on the Hookups page."));
    }

    /**
     * Sets what is given; what is null stays. Returns when the radio has taken it, or after a second when it has not said.
     *
     * @throws Rejection when the radio refuses it
     */
    void tune(long id, @Nullable Long frequencyHz, @Nullable String mode, @Nullable Boolean split) {
        Radio radio = radios.connected(id);
        RadioMode radioMode = mode == null ? null : modeNamed(mode);
        if (frequencyHz != null && (frequencyHz < 1000 || frequencyHz > Band.SUBMM.highHz())) {
            throw new Rejection("frequencyHz", frequencyHz + " Hz is not a radio frequency.");
        }
        GivenCommands given = new GivenCommands(radio);
        if (frequencyHz != null) {
            given.tune(receivingOn(radio), frequencyHz);
        }
        if (radioMode != null) {
            given.mode(radioMode);
        }
        if (split != null) {
            given.split(split);
        }
        given.await();
    }

    private static Vfo receivingOn(Radio radio) {
        Vfo vfo = radio.state().vfo();
        if (vfo == null) {
            throw new Rejection(
                    "id",
                    radio.row().name
                            + " has not reported which VFO it receives on, so it was not tuned. Try again in a "
                            + "moment.");
        }
        return vfo;
    }

    /**
     * Tunes a radio to what somebody typed, and waits until it reports that it is there: what is logged next is logged there.
     *
     * @param id null for the first radio
     * @param mode as the log names it
     * @return false when the radio did not report it within two seconds
     */
    public boolean tuneAndWait(@Nullable Long id, @Nullable Long frequencyHz, @Nullable Mode mode) {
        long radioId = numbered(id);
        Radio radio = radios.connected(radioId);
        Long now = radio.state().transmitHz();
        long hz = frequencyHz != null ? frequencyHz : now == null ? 0 : now;
        RadioMode radioMode = mode == null ? null : new ModeMapping(radio.row().lowerSidebandKeyed).toRadio(mode, hz);
        tune(radioId, frequencyHz, radioMode == null ? null : radioMode.label(), null);
        return reported(radio, frequencyHz, radioMode);
    }

    /**
     * Tunes a radio to a station: where it sends, and where it listens when that is elsewhere.
     *
     * @param id null for the first radio
     * @param transmitHz where to call it, Hz; null to call it where it sends
     * @return false when the radio did not report it within two seconds
     * @throws Rejection when the radio refuses it
     */
    public boolean goTo(@Nullable Long id, long frequencyHz, @Nullable Mode mode, @Nullable Long transmitHz) {
        long radioId = numbered(id);
        Radio radio = radios.connected(radioId);
        boolean split = transmitHz != null;
        RadioMode radioMode =
                mode == null ? null : new ModeMapping(radio.row().lowerSidebandKeyed).toRadio(mode, frequencyHz);
        GivenCommands here = new GivenCommands(radio);
        if (!split && radio.state().isSplit()) {
            here.split(false);
        }
        here.tune(receivingOn(radio), frequencyHz);
        if (radioMode != null) {
            here.mode(radioMode);
        }
        here.await();
        if (split) {
            GivenCommands there = new GivenCommands(radio);
            there.tune(receivingOn(radio).other(), Objects.requireNonNull(transmitHz));
            there.split(true);
            there.await();
        }
        return reported(radio, split ? transmitHz : frequencyHz, radioMode);
    }

    private boolean reported(Radio radio, @Nullable Long frequencyHz, @Nullable RadioMode mode) {
        long until = System.nanoTime() + TimeUnit.SECONDS.toNanos(REPORTS_WITHIN_SECONDS);
        synchronized (moves) {
            while (!isThere(radio.state(), frequencyHz, mode)) {
                long left = TimeUnit.NANOSECONDS.toMillis(until - System.nanoTime());
                if (left <= 0) {
                    return false;
                }
                try {
                    moves.wait(left);
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                    return false;
                }
            }
        }
        return true;
    }

    private static boolean isThere(RadioState state, @Nullable Long frequencyHz, @Nullable RadioMode mode) {
        return (frequencyHz == null || frequencyHz.equals(state.transmitHz()))
                && (mode == null || mode == state.mode());
    }

    private static RadioMode modeNamed(String label) {
        RadioMode mode = RadioMode.labelled(label);
        if (mode == null) {
            throw new Rejection("mode", "\"" + label + "\" is not a radio mode; it is USB, CW, DATA-U or the like.");
        }
        return mode;
    }
}
