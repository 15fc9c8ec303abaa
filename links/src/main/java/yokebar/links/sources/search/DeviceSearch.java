package yokebar.links.sources.search;

import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.BooleanSupplier;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import yokebar.links.platform.wire.DeviceAddress;
import yokebar.links.platform.wire.LinkFault;
import yokebar.links.platform.wire.SerialAddress;
import yokebar.links.platform.wire.Wire;

/**
 * Tries the likely ways to speak to whatever is on a port, each for less than a second, until one is answered. Serial
 * ports are tried at the speeds each kind of device usually has, the most usual of all kinds first.
 */
public final class DeviceSearch {
    private static final Logger LOG = LoggerFactory.getLogger(DeviceSearch.class);
    /** At each of many speeds. */
    private static final long LISTEN_SERIAL_NANOS = Duration.ofMillis(400).toNanos();
    /** There are few ways to try, and a network between. */
    private static final long LISTEN_TCP_NANOS = Duration.ofMillis(900).toNanos();

    private static final long ASK_AGAIN_NANOS = Duration.ofMillis(150).toNanos();
    private static final int BUFFER_BYTES = 2048;
    /** Any serial speed does for opening a port to see whether it can be opened. */
    private static final int SOME_BAUD = 9600;

    private final List<Supplier<Probe>> probes;

    /** @param probes the kinds of device to look for; each makes a new probe for every try */
    public DeviceSearch(List<Supplier<Probe>> probes) {
        this.probes = List.copyOf(probes);
    }

    /**
     * What came of searching one port.
     *
     * @param baud the speed that was answered, bit/s; null over TCP and when nothing answered
     * @param answer null when nothing answered
     * @param sentence for the operator
     * @param fix what the operator can do; null when it was found
     */
    public record Finding(
            String address,
            @Nullable Integer baud,
            Probe.@Nullable Answer answer,
            String sentence,
            @Nullable String fix) {}

    /** To be told of every try before it is made. */
    public interface Progress {
        /**
         * @param tried how many tries are done
         * @param of how many there are at most
         * @param now what is tried, in words
         */
        void at(int tried, int of, String now);
    }

    private record Try(Probe probe, DeviceAddress address, @Nullable Integer baud) {}

    /**
     * Searches one port.
     *
     * @param address a serial port's path, or host and port
     * @param cancelled asked between and during tries
     */
    public Finding search(String address, Progress progress, BooleanSupplier cancelled) {
        List<Try> tries;
        try {
            tries = tries(address);
        } catch (IllegalArgumentException e) {
            return new Finding(address, null, null, String.valueOf(e.getMessage()), null);
        }
        boolean[] noise = new boolean[1];
        for (int i = 0; i < tries.size() && !cancelled.getAsBoolean(); i++) {
            Try attempt = tries.get(i);
            progress.at(
                    i,
                    tries.size(),
                    attempt.address().words() + ", " + attempt.probe().words());
            try {
                Optional<Probe.Answer> answer = attempt(attempt, cancelled, noise);
                if (answer.isPresent()) {
                    return found(address, attempt, answer.get());
                }
            } catch (LinkFault e) {
                // What keeps one try from the port keeps all from it.
                return new Finding(address, null, null, e.reason(), e.fix());
            } catch (IOException e) {
                LOG.debug("{} was lost during the search", attempt.address().words(), e);
            }
        }
        return nothing(address, cancelled.getAsBoolean(), noise[0]);
    }

    private static Finding nothing(String address, boolean stopped, boolean noise) {
        if (stopped) {
            return new Finding(address, null, null, "The search was stopped.", null);
        }
        return noise
                ? new Finding(
                        address,
                        null,
                        null,
                        "Something talks on " + address + ", but in no way that is known here.",
                        "Is it set to an unusual speed, or is it another kind of device?")
                : new Finding(
                        address,
                        null,
                        null,
                        "Nothing answers on " + address + ".",
                        "Is the device on and its cable in? Some radios answer a computer only after that is switched on in their menu.");
    }

    private static Finding found(String address, Try attempt, Probe.Answer answer) {
        String bus = answer.bus() == 0 ? "" : " as number " + String.format("%02X", answer.bus()) + " on its bus";
        return new Finding(
                address,
                attempt.baud(),
                answer,
                "On " + attempt.address().words() + " answers "
                        + attempt.probe().words() + bus + ".",
                null);
    }

    private List<Try> tries(String address) {
        List<Try> tries = new ArrayList<>();
        boolean serial = DeviceAddress.of(address, SOME_BAUD) instanceof SerialAddress;
        int rounds = serial
                ? probes.stream().mapToInt(p -> p.get().bauds().size()).max().orElse(0)
                : 1;
        for (int round = 0; round < rounds; round++) {
            for (Supplier<Probe> kind : probes) {
                Probe probe = kind.get();
                if (round < probe.bauds().size()) {
                    Integer baud = serial ? probe.bauds().get(round) : null;
                    tries.add(new Try(probe, DeviceAddress.of(address, baud), baud));
                }
            }
        }
        return tries;
    }

    /** @param noise set when anything at all was heard */
    private static Optional<Probe.Answer> attempt(Try attempt, BooleanSupplier cancelled, boolean[] noise)
            throws IOException {
        byte[] buffer = new byte[BUFFER_BYTES];
        try (Wire wire = attempt.address().open()) {
            long listen = attempt.baud() == null ? LISTEN_TCP_NANOS : LISTEN_SERIAL_NANOS;
            long begin = System.nanoTime();
            long askedAt = begin - ASK_AGAIN_NANOS;
            for (long now = begin; now - begin < listen && !cancelled.getAsBoolean(); now = System.nanoTime()) {
                if (now - askedAt >= ASK_AGAIN_NANOS) {
                    wire.write(attempt.probe().question());
                    askedAt = now;
                }
                int count = wire.read(buffer, Wire.READ_WAIT_MS);
                noise[0] |= count > 0;
                Optional<Probe.Answer> answer =
                        count == 0 ? Optional.empty() : attempt.probe().listen(buffer, count);
                if (answer.isPresent()) {
                    return answer;
                }
            }
        }
        return Optional.empty();
    }
}
