package yokebar.app.services.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.classic.spi.ThrowableProxyUtil;
import ch.qos.logback.core.read.ListAppender;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.slf4j.LoggerFactory;
import tools.jackson.databind.JsonNode;
import yokebar.standins.countersign.Countersign;
import yokebar.standins.postbag.Postbag;
import yokebar.standins.quayside.Quayside;

/** No secret gets out: into no answer, no export, no log, and in no file can it be read. */
class SecretsTest extends ServiceTest {
    private static final String FILE_PASSPHRASE = "keep-it-safe";
    private static final String WRONG_PASSWORD = "not-the-right-one";
    /** Never ends, or answers only when something happens. */
    private static final String EVENT_STREAM = "/api/live";

    private final List<String> secrets = new ArrayList<>(
            List.of(Countersign.PASSWORD, Quayside.KEY, Postbag.PASSWORD, FILE_PASSPHRASE, WRONG_PASSWORD, "lamp-oil"));

    @Test
    void secretsAreInNoAnswerNoExportNoLogAndNoFile() throws Exception {
        List<String> texts = new ArrayList<>();
        texts.addAll(logged(this::useEverySecret));
        for (String path : readable()) {
            texts.add(path + "\n" + text(path));
        }
        assertThat(texts).as("paths read").hasSizeGreaterThan(50);
        for (String secret : secrets) {
            assertThat(texts).noneMatch(text -> text.contains(secret));
        }
        Set<String> files = new HashSet<>();
        jdbc.execute("checkpoint sync");
        Path home = Path.of(jdbc.queryForObject("select database_path()", String.class))
                .getParent();
        try (Stream<Path> all = Files.walk(home)) {
            for (Path file : all.filter(Files::isRegularFile).toList()) {
                String content = Files.readString(file, StandardCharsets.ISO_8859_1);
                files.add(file.getFileName().toString());
                for (String secret : secrets) {
                    assertThat(content.contains(secret) || content.contains(utf16(secret)))
                            .as(file + " holds " + secret)
                            .isFalse();
                }
            }
        }
        assertThat(files).contains("log.mv.db");
    }

    private interface Doing {
        void run() throws Exception;
    }

    /** What is written to the log meanwhile, ours in every detail. */
    private static List<String> logged(Doing doing) throws Exception {
        Logger root = (Logger) LoggerFactory.getLogger(Logger.ROOT_LOGGER_NAME);
        Logger ours = (Logger) LoggerFactory.getLogger("yokebar");
        ListAppender<ILoggingEvent> lines = new ListAppender<>();
        lines.start();
        root.addAppender(lines);
        ours.setLevel(Level.ALL);
        try {
            ours.debug("What follows is read by a test");
            doing.run();
        } finally {
            ours.setLevel(null);
            root.detachAppender(lines);
        }
        List<String> texts = new ArrayList<>();
        for (ILoggingEvent line : List.copyOf(lines.list)) {
            texts.add(line.getFormattedMessage()
                    + (line.getThrowableProxy() == null ? "" : ThrowableProxyUtil.asString(line.getThrowableProxy())));
        }
        assertThat(texts).contains("What follows is read by a test");
        return texts;
    }

    /** Every kind of secret is given, used, refused and given again. */
    private void useEverySecret() throws Exception {
        put("/api/services/1", Map.of("address", countersign.address(), "account", Countersign.ACCOUNT));
        put("/api/services/1", Map.of("password", WRONG_PASSWORD));
        sendJson("POST", "/api/services/1/test", Map.of());
        useCountersign();
        sendJson("POST", "/api/services/1/test", Map.of());
        sendJson(
                "POST",
                "/api/services/1/requests",
                Map.of("call", "CU9QYB", "fromDay", "2015-01-01", "postalAddress", "Farol, Corvo"));
        long request = lane(COUNTERSIGN).path("requests").get(0).path("id").asLong();
        String code = countersign.enrolment().letters().get(0).code();
        secrets.add(code);
        sendJson("POST", "/api/services/1/requests/" + request + "/code", Map.of("code", code));
        installIdentity("CU9QLZ", "2020-01-01", "2030-01-01");
        long identity = lane(COUNTERSIGN).path("identities").get(0).path("id").asLong();
        sendJson("POST", "/api/services/1/identities/" + identity + "/file", Map.of("passphrase", FILE_PASSPHRASE));
        useQuayside();
        usePostbag();
        importText(contact("ZP5QXA", "rst_sent", "599"));
        sendJson("POST", "/api/services/1/handovers", Map.of());
        awaitState("ZP5QXA", COUNTERSIGN, "ACCEPTED");
        awaitState("ZP5QXA", QUAYSIDE, "ACCEPTED");
        awaitState("ZP5QXA", POSTBAG, "ACCEPTED");
        sendJson("POST", "/api/services/1/fetches", Map.of());
        countersign.faults().failNext(1);
        sendJson("POST", "/api/services/1/fetches", Map.of());
        upload("/api/services/1/identities", "id.p12", new byte[] {1, 2, 3}, Map.of("passphrase", WRONG_PASSWORD));
    }

    private List<String> readable() throws Exception {
        List<String> paths = new ArrayList<>();
        for (Map.Entry<String, JsonNode> path : get("/api/docs").path("paths").properties()) {
            if (path.getValue().has("get") && !path.getKey().equals(EVENT_STREAM)) {
                paths.add(path.getKey().replaceAll("\\{[^}]*}", "1"));
            }
        }
        return paths;
    }

    private static String utf16(String text) {
        return new String(text.getBytes(StandardCharsets.UTF_16LE), StandardCharsets.ISO_8859_1);
    }
}
