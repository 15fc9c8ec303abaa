package yokebar.standins.mail;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.util.Arrays;
import java.util.HexFormat;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import yokebar.standins.Conversation;

/** The gateway as {@code docs/protocols/radio-mail.md} tells it. */
class MailGatewayTest {
    private static final int CHUNK = 1024;

    private final Map<String, byte[]> delivered = new ConcurrentHashMap<>();
    private final byte[] letter = new byte[5_000];

    @TempDir
    private Path folder;

    private MailGateway gateway;

    @BeforeEach
    void open() throws IOException {
        gateway = new MailGateway(folder, 0, (content, id) -> delivered.put(id, content));
        gateway.setBytesPerSecond(10_000_000);
        new Random(3).nextBytes(letter);
    }

    @AfterEach
    void close() {
        gateway.close();
    }

    private Conversation session() throws IOException {
        Conversation session = new Conversation(gateway.port());
        assertThat(session.line()).isEqualTo("BOTTLEPOST 1");
        session.say("HELLO CU9QYB\r\n");
        assertThat(session.line()).isEqualTo("OK CU9QYB");
        return session;
    }

    private static String sha256(byte[] bytes) throws Exception {
        return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(bytes));
    }

    private static void offer(Conversation session, String id, int part, int parts, byte[] content) throws Exception {
        session.say("OFFER countersign %s %d %d %d %s\r\n".formatted(id, part, parts, content.length, sha256(content)));
    }

    /** Sends on from where the gateway wants it, piece by piece as each is acknowledged. */
    private static String send(Conversation session, byte[] content, int from) throws IOException {
        for (int sent = from; sent < content.length; ) {
            int end = Math.min(content.length, sent + CHUNK);
            session.say(Arrays.copyOfRange(content, sent, end));
            assertThat(session.line()).isEqualTo("GOT " + end);
            sent = end;
        }
        return session.line();
    }

    @Test
    void aLetterInPartsIsHandedOnOnceItIsWhole() throws Exception {
        byte[] first = Arrays.copyOf(letter, 3_000);
        byte[] second = Arrays.copyOfRange(letter, 3_000, letter.length);
        try (Conversation session = session()) {
            offer(session, "letter-1", 2, 2, second);
            assertThat(session.line()).isEqualTo("FROM 0");
            assertThat(send(session, second, 0)).isEqualTo("TAKEN 2");
            assertThat(delivered).isEmpty();
            offer(session, "letter-1", 1, 2, first);
            assertThat(session.line()).isEqualTo("FROM 0");
            assertThat(send(session, first, 0)).isEqualTo("TAKEN 1");
            offer(session, "letter-1", 1, 2, first);
            assertThat(session.line()).isEqualTo("HAVE");
            session.say("BYE\r\n");
            assertThat(session.line()).isEqualTo("BYE");
        }
        assertThat(delivered).containsOnlyKeys("letter-1");
        assertThat(delivered.get("letter-1")).isEqualTo(letter);
        assertThat(gateway.summary()).containsEntry("letters", 1).containsEntry("received", 5_000L);
    }

    @Test
    void aPartThatBrokeOffGoesOnWhereItStopped() throws Exception {
        gateway.dropAfter(2_500);
        try (Conversation session = session()) {
            offer(session, "letter-1", 1, 1, letter);
            assertThat(session.line()).isEqualTo("FROM 0");
            session.say(letter);
            assertThat(session.line()).isEqualTo("GOT 1024");
            assertThat(session.line()).isEqualTo("GOT 2048");
            assertThat(session.rest()).isEmpty();
        }
        assertThat(gateway.summary()).containsEntry("drops", 1);
        try (Conversation session = session()) {
            offer(session, "letter-1", 1, 1, letter);
            assertThat(session.line()).isEqualTo("FROM 2048");
            assertThat(send(session, letter, 2_048)).isEqualTo("TAKEN 1");
        }
        assertThat(delivered.get("letter-1")).isEqualTo(letter);
    }

    @Test
    void aDamagedPartIsNotTaken() throws Exception {
        byte[] other = letter.clone();
        other[17]++;
        try (Conversation session = session()) {
            offer(session, "letter-1", 1, 1, letter);
            session.line();
            assertThat(send(session, other, 0)).isEqualTo("NO the part is damaged");
            offer(session, "letter-1", 1, 1, letter);
            assertThat(session.line()).as("all of it anew").isEqualTo("FROM 0");
            assertThat(send(session, letter, 0)).isEqualTo("TAKEN 1");
        }
    }

    @Test
    void itSaysWhatItDoesNotUnderstand() throws Exception {
        try (Conversation session = new Conversation(gateway.port())) {
            session.line();
            session.say("OFFER before any greeting\r\n");
            assertThat(session.line()).startsWith("NO say HELLO");
        }
        try (Conversation session = session()) {
            session.say("SING\r\n");
            assertThat(session.line()).isEqualTo("NO what is SING");
        }
        try (Conversation session = session()) {
            session.say("OFFER countersign letter-1 1\r\n");
            assertThat(session.line()).startsWith("NO");
        }
        try (Conversation session = session()) {
            session.say("OFFER countersign letter-1 one of 2 " + "0".repeat(64) + "\r\n");
            assertThat(session.rest()).isEmpty();
        }
        try (Conversation session = session()) {
            session.say("OFFER countersign letter-1 1 1 120001 " + "0".repeat(64) + "\r\n");
            assertThat(session.line()).startsWith("NO a part may have");
        }
        try (Conversation session = session()) {
            session.say("x".repeat(500) + "\r\n");
            assertThat(session.rest()).as("a line without end").isEmpty();
        }
        assertThat(delivered).isEmpty();
    }

    @Test
    void aLetterCannotLeaveTheFolder() throws Exception {
        try (Conversation session = session()) {
            offer(session, "../../outside", 1, 1, letter);
            session.line();
            assertThat(send(session, letter, 0)).isEqualTo("TAKEN 1");
        }
        assertThat(folder.toFile().list()).hasSize(1);
        assertThat(folder.getParent().resolve("outside.1.whole")).doesNotExist();
    }

    @Test
    void downNobodyAnswersAndUpItKnowsWhatItHad() throws Exception {
        int port = gateway.port();
        gateway.dropAfter(1_500);
        try (Conversation session = session()) {
            offer(session, "letter-1", 1, 1, letter);
            session.line();
            session.say(letter);
            session.rest();
        }
        gateway.setUp(false);
        assertThat(gateway.summary()).containsEntry("up", false);
        gateway.setUp(true);
        assertThat(gateway.port()).isEqualTo(port);
        try (Conversation session = session()) {
            offer(session, "letter-1", 1, 1, letter);
            assertThat(session.line()).isEqualTo("FROM 1024");
        }
    }
}
