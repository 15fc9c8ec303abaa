package yokebar.links.clock;

import java.io.IOException;
import java.net.InetAddress;
import java.net.SocketTimeoutException;
import java.net.UnknownHostException;
import java.time.Duration;
import org.apache.commons.net.ntp.NTPUDPClient;
import org.apache.commons.net.ntp.NtpV3Packet;
import org.apache.commons.net.ntp.TimeInfo;
import yokebar.links.wire.LinkFault;

/**
 * A time server, asked by SNTP (RFC 4330).
 *
 * @param port UDP
 */
public record TimeServer(String host, int port) {
    private static final Duration ANSWER_WITHIN = Duration.ofSeconds(3);
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
                "\"" + text + "\" is no time server: write a host such as time.example.org, or a host and port.");
    }

    /** As it is written. */
    public String words() {
        return port == USUAL_PORT ? host : host + ":" + port;
    }

    /**
     * Asks once.
     *
     * @return what this computer's clock lacks: positive when it is behind
     * @throws LinkFault when there is no answer, or none to be trusted
     */
    public Duration offset() throws LinkFault {
        try (NTPUDPClient client = new NTPUDPClient()) {
            client.setDefaultTimeout(ANSWER_WITHIN);
            TimeInfo info = client.getTime(InetAddress.getByName(host), port);
            NtpV3Packet answer = info.getMessage();
            // A server without a time of its own says so by its stratum or its leap indicator.
            if (answer.getStratum() < 1
                    || answer.getStratum() > WORST_STRATUM
                    || answer.getLeapIndicator() == NOT_IN_STEP) {
                throw new LinkFault(
                        LinkFault.Kind.GARBAGE,
                        "The time server " + words() + " says itself that its time is not to be trusted.",
                        "Choose another one under Station.",
                        null);
            }
            info.computeDetails();
            Long offsetMs = info.getOffset();
            if (offsetMs == null) {
                throw new LinkFault(
                        LinkFault.Kind.GARBAGE,
                        "The answer of the time server " + words() + " has no time in it.",
                        "Choose another one under Station.",
                        null);
            }
            return Duration.ofMillis(offsetMs);
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
        } catch (IOException e) {
            throw new LinkFault(
                    LinkFault.Kind.CANNOT_OPEN,
                    "The time server " + words() + " cannot be asked: " + e.getMessage() + ".",
                    "Is this computer on the network?",
                    e);
        }
    }
}
