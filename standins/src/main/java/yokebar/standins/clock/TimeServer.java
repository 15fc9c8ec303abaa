package yokebar.standins.clock;

import java.io.IOException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.nio.ByteBuffer;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** A time server that speaks SNTP (RFC 4330) on the loopback, and whose time can be set wrong. */
public final class TimeServer implements AutoCloseable {
    private static final int PACKET_BYTES = 48;
    private static final long SECONDS_1900_TO_1970 = 2_208_988_800L;
    private static final byte VERSION_4_SERVER = 0x24;
    private static final byte NOT_IN_STEP = (byte) 0xC0;

    private final Clock clock;
    private final DatagramSocket socket;
    private volatile Duration ahead = Duration.ZERO;
    private volatile boolean up = true;
    private volatile boolean inStep = true;
    private volatile int asked;

    /** @param port 0 for any free port */
    public TimeServer(Clock clock, int port) throws IOException {
        this.clock = clock;
        this.socket = new DatagramSocket(port, InetAddress.getLoopbackAddress());
        Thread thread = new Thread(this::serve, "time-server");
        thread.setDaemon(true);
        thread.start();
    }

    public int port() {
        return socket.getLocalPort();
    }

    /** How far its time is ahead of the true one: a computer that asks finds itself that far behind. */
    public void setAhead(Duration ahead) {
        this.ahead = ahead;
    }

    /** Down, it says nothing. */
    public void setUp(boolean up) {
        this.up = up;
    }

    /** Out of step, it answers that its time is not to be trusted. */
    public void setInStep(boolean inStep) {
        this.inStep = inStep;
    }

    /** For the eye. */
    public Map<String, Object> state() {
        Map<String, Object> state = new LinkedHashMap<>();
        state.put("up", up);
        state.put("aheadMs", ahead.toMillis());
        state.put("inStep", inStep);
        state.put("asked", asked);
        return state;
    }

    private void serve() {
        byte[] buffer = new byte[512];
        while (!socket.isClosed()) {
            try {
                DatagramPacket packet = new DatagramPacket(buffer, buffer.length);
                socket.receive(packet);
                Instant received = now();
                byte[] answer = packet.getLength() < PACKET_BYTES ? null : answer(buffer, received);
                if (up && answer != null) {
                    asked++;
                    socket.send(new DatagramPacket(answer, answer.length, packet.getSocketAddress()));
                }
            } catch (IOException e) {
                if (!socket.isClosed()) {
                    System.err.println("Time server: " + e.getMessage());
                }
            }
        }
    }

    private byte @Nullable [] answer(byte[] question, Instant received) {
        ByteBuffer answer = ByteBuffer.allocate(PACKET_BYTES);
        answer.put(inStep ? VERSION_4_SERVER : (byte) (VERSION_4_SERVER | NOT_IN_STEP));
        answer.put((byte) (inStep ? 2 : 0));
        answer.put(question[2]);
        answer.put((byte) -20);
        answer.putInt(0).putInt(0).putInt(0x7F000001);
        putTime(answer, received);
        // What the asker called its own time goes back to it, so that it can tell how long the way was.
        answer.put(question, 40, 8);
        putTime(answer, received);
        putTime(answer, now());
        return answer.array();
    }

    private Instant now() {
        return clock.instant().plus(ahead);
    }

    private static void putTime(ByteBuffer into, Instant time) {
        into.putInt((int) (time.getEpochSecond() + SECONDS_1900_TO_1970));
        into.putInt((int) ((long) time.getNano() * (1L << 32) / 1_000_000_000L));
    }

    @Override
    public void close() {
        socket.close();
    }
}
