package yokebar.links.platform.web;

import java.io.IOException;
import java.io.InputStream;
import java.net.ConnectException;
import java.net.Inet6Address;
import java.net.InetAddress;
import java.net.URI;
import java.net.UnknownHostException;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.net.http.HttpTimeoutException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;

/**
 * Fetches a file from a device on the local network. It goes to exactly the address it was given: to no other host, nowhere
 * it is sent on to, and not out to the internet.
 */
public final class LocalDownload {
    private static final Duration CONNECT_WITHIN = Duration.ofSeconds(5);
    private static final Duration ANSWER_WITHIN = Duration.ofSeconds(60);
    private static final Duration WHOLE_WITHIN = Duration.ofMinutes(10);
    private static final int OK = 200;
    private static final int REDIRECTION = 3;
    private static final int PIECE = 1 << 16;

    private LocalDownload() {}

    /** It could not be fetched; the message is for the operator. */
    public static final class Failed extends Exception {
        private static final long serialVersionUID = 1L;

        Failed(String message) {
            super(message);
        }
    }

    /**
     * @return the address the host's name stands for, to be confirmed by the operator
     * @throws Failed when it is not a host of the local network
     */
    public static String host(URI address) throws Failed {
        try {
            InetAddress host = InetAddress.getByName(address.getHost());
            if (!isLocal(host)) {
                throw new Failed(address.getHost() + " is not on the local network. Files are fetched from devices in"
                        + " the house only; save this one and drop it here.");
            }
            return host.getHostAddress();
        } catch (UnknownHostException e) {
            throw new Failed("No host on the network is called " + address.getHost() + ".");
        }
    }

    /** RFC 1918 and 3927, and for IPv6 {@code fe80::/10} (RFC 4291) and {@code fc00::/7} (RFC 4193). */
    static boolean isLocal(InetAddress host) {
        boolean uniqueLocal = host instanceof Inet6Address && (host.getAddress()[0] & 0xfe) == 0xfc;
        return host.isLoopbackAddress() || host.isSiteLocalAddress() || host.isLinkLocalAddress() || uniqueLocal;
    }

    /** @param maxBytes a longer file is not fetched to its end */
    public static void fetch(URI address, Path into, long maxBytes) throws Failed {
        host(address);
        HttpClient http = HttpClient.newBuilder()
                .version(HttpClient.Version.HTTP_1_1)
                .followRedirects(HttpClient.Redirect.NEVER)
                .connectTimeout(CONNECT_WITHIN)
                .build();
        HttpRequest request =
                HttpRequest.newBuilder(address).timeout(ANSWER_WITHIN).build();
        try {
            HttpResponse<InputStream> response = http.send(request, HttpResponse.BodyHandlers.ofInputStream());
            try (TimedBody in = new TimedBody(response.body(), WHOLE_WITHIN)) {
                refuseOther(address, response);
                copy(address, in, into, maxBytes);
            }
        } catch (HttpTimeoutException e) {
            throw new Failed(address + " does not answer. Is the device on, and on this network?");
        } catch (ConnectException e) {
            throw new Failed("Nothing answers at " + address + ". Is the device on, and its port right?");
        } catch (IOException e) {
            throw new Failed("The connection to " + address + " was lost: " + e.getMessage() + ".");
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new Failed("It was not waited for.");
        }
    }

    private static void refuseOther(URI address, HttpResponse<?> response) throws Failed {
        if (response.statusCode() / 100 == REDIRECTION) {
            String to = response.headers().firstValue("Location").orElse("elsewhere");
            throw new Failed(address + " sends on to " + to + ", which was not asked for. If that is right, give that"
                    + " address itself.");
        }
        if (response.statusCode() != OK) {
            throw new Failed(address + " answers with status " + response.statusCode() + " instead of a file.");
        }
    }

    private static void copy(URI address, TimedBody in, Path into, long maxBytes) throws IOException, Failed {
        try (var out = Files.newOutputStream(into)) {
            byte[] piece = new byte[PIECE];
            long copied = 0;
            for (int read = in.read(piece); read >= 0; read = in.read(piece)) {
                copied += read;
                if (copied > maxBytes) {
                    throw new Failed(address + " sends more than " + (maxBytes >> 20) + " MB; no log is that long.");
                }
                out.write(piece, 0, read);
            }
        }
    }
}
