package yokebar.standins.program;

import java.io.IOException;
import java.net.DatagramPacket;
import java.net.DatagramSocket;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.SocketException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A program's end of the digital link, as docs/protocols/digital-link.md has it. It can be told to treat its datagrams badly:
 * to lose some, send some twice, hold some back.
 */
final class LinkSide implements AutoCloseable {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final int MAX_BYTES = 65_535;
    private static final int MAX_TRIES = 40;

    private final String instance;
    private final String name;
    private final String run = UUID.randomUUID().toString().substring(0, 8);
    private final InetSocketAddress yokebar;
    private final DatagramSocket socket;
    private final AtomicLong number = new AtomicLong();
    private final Map<String, Map<String, Object>> notTaken = new ConcurrentHashMap<>();
    private final Map<String, Integer> tries = new ConcurrentHashMap<>();
    private final Random random;
    private volatile double loss;
    private volatile double repeat;
    private volatile Consumer<String> answer = decode -> {};
    private volatile Runnable stop = () -> {};

    LinkSide(String instance, String name, int port, long seed) throws SocketException {
        this.instance = instance;
        this.name = name;
        this.yokebar = new InetSocketAddress(InetAddress.getLoopbackAddress(), port);
        this.random = new Random(seed);
        this.socket = new DatagramSocket(0, InetAddress.getLoopbackAddress());
        Thread listening = new Thread(this::listen, "digital-link-" + instance);
        listening.setDaemon(true);
        listening.start();
    }

    /** What it does when it is told to. */
    void obey(Consumer<String> answerDecode, Runnable stopTransmitting) {
        answer = answerDecode;
        stop = stopTransmitting;
    }

    /** Of so many datagrams, 0 to 1, the network loses or doubles. */
    void treatBadly(double lost, double doubled) {
        loss = lost;
        repeat = doubled;
    }

    void heartbeat() {
        send("heartbeat", Map.of("name", name, "version", "1"));
    }

    void status(Map<String, Object> status) {
        send("status", status);
    }

    void decode(Map<String, Object> decode) {
        send("decode", decode);
    }

    /** Told again and again until it is taken. */
    void contact(String id, String adif) {
        Map<String, Object> contact = Map.of("id", id, "adif", adif);
        notTaken.put(id, contact);
        send("contact", contact);
    }

    /** Sends once more what was not taken yet; to be called now and then. */
    void again() {
        notTaken.forEach((id, contact) -> {
            if (tries.merge(id, 1, Integer::sum) > MAX_TRIES) {
                notTaken.remove(id);
            } else {
                send("contact", contact);
            }
        });
    }

    int waiting() {
        return notTaken.size();
    }

    private void send(String type, Map<String, Object> more) {
        if (yokebar.getPort() == 0) {
            return;
        }
        Map<String, Object> message = new LinkedHashMap<>();
        message.put("link", 1);
        message.put("from", instance);
        message.put("run", run);
        message.put("n", number.incrementAndGet());
        message.put("type", type);
        message.putAll(more);
        byte[] bytes = JSON.writeValueAsBytes(message);
        try {
            int times = random.nextDouble() < loss ? 0 : random.nextDouble() < repeat ? 2 : 1;
            for (int i = 0; i < times; i++) {
                socket.send(new DatagramPacket(bytes, bytes.length, yokebar));
            }
        } catch (IOException e) {
            System.err.println(name + " could not use the digital link: " + e.getMessage());
        }
    }

    private void listen() {
        byte[] buffer = new byte[MAX_BYTES];
        while (!socket.isClosed()) {
            DatagramPacket packet = new DatagramPacket(buffer, buffer.length);
            try {
                socket.receive(packet);
                JsonNode message = JSON.readTree(new String(buffer, 0, packet.getLength(), StandardCharsets.UTF_8));
                if (message.path("to").asString("").equals(instance)) {
                    obey(message);
                }
            } catch (IOException | RuntimeException e) {
                if (!socket.isClosed()) {
                    System.err.println(name + " was told something it does not know: " + e.getMessage());
                }
            }
        }
    }

    private void obey(JsonNode message) {
        switch (message.path("type").asString("")) {
            case "answer" -> answer.accept(message.path("decode").asString(""));
            case "stop" -> stop.run();
            case "taken" -> notTaken.remove(message.path("id").asString(""));
            default -> {
                // something of a later version
            }
        }
    }

    static String time(Instant at) {
        return at.toString();
    }

    @Override
    public void close() {
        send("bye", Map.of());
        socket.close();
    }
}
