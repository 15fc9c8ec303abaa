package yokebar.links.sources.clock;

import java.io.IOException;
import java.net.InetAddress;
import java.net.SocketException;
import java.net.SocketTimeoutException;
import java.net.UnknownHostException;
import java.time.Duration;
import org.apache.commons.net.ntp.NTPUDPClient;
import org.apache.commons.net.ntp.NtpV3Packet;
import org.apache.commons.net.ntp.TimeInfo;
import org.jspecify.annotations.Nullable;
import yokebar.links.platform.wire.LinkFault;

/**
 * A time server, asked by SNTP (RFC 4330).
 *
 * @param port UDP
 */
public record TimeServer(String host, int port) {
    private static final Duration ANSWER_WITHIN = Duration.ofSeconds(3);
    private static final Duration ALL_WITHIN = Duration.ofSeconds(6);
    private static final int SAMPLES = 4;
    /** A clock may be set wrong by years, but not by more. */
    private static final Duration FARTHEST = Duration.ofDays(3660);

    private static final int USUAL_PORT = 123;
    private static final int NOT_IN_STEP = 3;
    private static final int WORST_STRATUM = 15;

    /**
     * Reads {@code host} or {@code host:port}.
     *
     * @throws IllegalArgumentException with a sentence when it is neither
     */
    public static TimeServer of(String text) {
        String tidy = text.strip();
        int colon = tidy.lastIndexOf(':');
        String host = colon < 0 ? tidy : tidy.substring(0, colon);
        String port = colon < 0 ? String.valueOf(USUAL_PORT) : tidy.substring(colon + 1);
        if (host.matches("[A-Za-z0-9._-]{1,200}")
                && port.matches("\\d{1,5}")
                && Integer.parseInt(port) >= 1
                && Integer.parseInt(port) <= 65_535) {
            return new TimeServer(host, Integer.parseInt(port));
        }
        throw new IllegalArgumentException(
                "\"" + text + "\" is not a time server: write a host such as time.example.org, or a host and port.");
    }

    /** As it is written. */
    public String words() {
        return port == USUAL_PORT ? host : host + ":" + port;
    }

    /**
     * What a time server said.
     *
     * @param offset what this computer's clock lacks: positive when it is behind; the round trip is taken off (RFC 4330)
     * @param roundTrip of the sample that was kept, the quickest of several
     * @param samples how many answers there were
     */
    public record Answer(Duration offset, Duration roundTrip, int samples) {}

    /**
     * Asks several times and keeps the sample with the shortest round trip, which lies nearest to the truth.
     *
     * @throws LinkFault when there is no answer, or none to be trusted
     */
    public Answer ask() throws LinkFault {
        try (NTPUDPClient client = new NTPUDPClient()) {
            client.setDefaultTimeout(ANSWER_WITHIN);
            InetAddress address = InetAddress.getByName(host);
            long until = System.nanoTime() + ALL_WITHIN.toNanos();
            Answer best = null;
            int answers = 0;
            while (answers < SAMPLES && System.nanoTime() - until < 0) {
                TimeInfo info;
                try {
                    info = client.getTime(address, port);
                } catch (SocketTimeoutException e) {
                    if (best == null) {
                        throw e;
                    }
                    // One of several may be lost on the way.
                    break;
                }
                Answer sample = sample(info, ++answers);
                best = best == null || sample.roundTrip().compareTo(best.roundTrip()) < 0 ? sample : best;
            }
            if (best == null) {
                throw new SocketTimeoutException();
            }
            return new Answer(best.offset(), best.roundTrip(), answers);
        } catch (LinkFault e) {
            throw e;
        } catch (UnknownHostException e) {
            throw new LinkFault(
                    LinkFault.Kind.UNKNOWN_HOST,
                    "There is no time server called " + host + ".",
                    "Is the name right, and is this computer on the network?",
                    e);
        } catch (SocketTimeoutException e) {
            throw new LinkFault(
                    LinkFault.Kind.NO_ANSWER,
                    "The time server " + words() + " does not answer.",
                    "Is this computer on the network? Without one the clock cannot be checked.",
                    e);
        } catch (SocketException e) {
            throw new LinkFault(
                    LinkFault.Kind.CANNOT_OPEN,
                    "The time server " + words() + " cannot be asked: " + e.getMessage() + ".",
                    "Is this computer on the network?",
                    e);
        } catch (IOException e) {
            // What came is not what was asked for.
            throw senseless("What " + words() + " sent is not an answer of a time server.", e);
        }
    }

    private Answer sample(TimeInfo info, int number) throws LinkFault {
        NtpV3Packet answer = info.getMessage();
        boolean fromServer = answer.getMode() == NtpV3Packet.MODE_SERVER;
        boolean hasTime = answer.getTransmitTimeStamp().ntpValue() != 0;
        if (!fromServer || !hasTime || answer.getOriginateTimeStamp().ntpValue() == 0) {
            throw senseless("What " + words() + " sent is not an answer of a time server.");
        }
        // A server without a time of its own says so by its stratum or its leap indicator.
        if (answer.getStratum() < 1
                || answer.getStratum() > WORST_STRATUM
                || answer.getLeapIndicator() == NOT_IN_STEP) {
            throw senseless("The time server " + words() + " says itself that its time is not to be trusted.");
        }
        info.computeDetails();
        Long offsetMs = info.getOffset();
        Long delayMs = info.getDelay();
        // The answer repeats the time of the question; one that does not answers something else.
        long asked = answer.getOriginateTimeStamp().getTime();
        boolean ours = Math.abs(info.getReturnTime() - asked) <= ANSWER_WITHIN.toMillis() + 1000;
        if (offsetMs == null || delayMs == null || !ours || Math.abs(offsetMs) > FARTHEST.toMillis()) {
            throw senseless("The answer of the time server " + words() + " holds no sensible time.");
        }
        return new Answer(Duration.ofMillis(offsetMs), Duration.ofMillis(Math.max(0, delayMs)), number);
    }

    private static LinkFault senseless(String reason) {
        return senseless(reason, null);
    }

    private static LinkFault senseless(String reason, @Nullable Throwable cause) {
        return new LinkFault(LinkFault.Kind.GARBAGE, reason, "Choose another time server under Station.", cause);
    }
}
