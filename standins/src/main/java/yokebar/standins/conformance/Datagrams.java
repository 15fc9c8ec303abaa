package yokebar.standins.conformance;

import java.io.IOException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetSocketAddress;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.Arrays;
import java.util.Map;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Messages of the digital link, one JSON object a datagram. */
final class Datagrams implements AutoCloseable {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int MAX_BYTES = 65_535;

    private final DatagramSocket socket;

    /** @param local where to listen; port 0 for any free one */
    Datagrams(InetSocketAddress local) throws IOException {
        this.socket = new DatagramSocket(local);
    }

    /** @param message null when the datagram was no JSON object */
    record Received(@Nullable JsonNode message, String text, InetSocketAddress from) {}

    void send(Map<String, Object> message, InetSocketAddress to) throws IOException {
        send(JSON.writeValueAsBytes(message), to);
    }

    void send(byte[] datagram, InetSocketAddress to) throws IOException {
        socket.send(new DatagramPacket(datagram, datagram.length, to));
    }

    /** The first message that fits; null when none comes in that time. */
    @Nullable
    Received await(Predicate<Received> fits, Duration within) throws IOException {
        long end = System.nanoTime() + within.toNanos();
        byte[] buffer = new byte[MAX_BYTES];
        for (long left = within.toMillis(); left > 0; left = (end - System.nanoTime()) / 1_000_000) {
            socket.setSoTimeout((int) left);
            DatagramPacket packet = new DatagramPacket(buffer, buffer.length);
            try {
                socket.receive(packet);
            } catch (SocketTimeoutException e) {
                return null;
            }
            Received received = read(packet);
            if (fits.test(received)) {
                return received;
            }
        }
        return null;
    }

    private static Received read(DatagramPacket packet) {
        byte[] bytes = Arrays.copyOf(packet.getData(), packet.getLength());
        String text = new String(bytes, StandardCharsets.UTF_8);
        InetSocketAddress from = (InetSocketAddress) packet.getSocketAddress();
        try {
            JsonNode node = JSON.readTree(bytes);
            return new Received(node != null && node.isObject() ? node : null, text, from);
        } catch (JacksonException e) {
            return new Received(null, text, from);
        }
    }

    @Override
    public void close() {
        socket.close();
    }
}
