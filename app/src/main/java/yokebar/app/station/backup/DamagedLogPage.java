package yokebar.app.station.backup;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import java.io.IOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.SecureRandom;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.HexFormat;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import org.jspecify.annotations.Nullable;
import org.springframework.web.util.HtmlUtils;
import yokebar.app.platform.storage.StagedLog;

/**
 * A page in Yokebar's place while its log cannot be opened: it says what is damaged and offers the ways out. It listens on this
 * computer alone and takes a choice only from itself.
 */
public final class DamagedLogPage implements AutoCloseable {
    private static final int MAX_FORM_BYTES = 4096;
    private static final DateTimeFormatter MINUTE =
            DateTimeFormatter.ofPattern("yyyy-MM-dd HH:mm").withZone(ZoneOffset.UTC);

    private final DamagedLog log;
    private final Path home;
    private final String sentence;
    private final String token;
    private final HttpServer server;
    private final CountDownLatch chosen = new CountDownLatch(1);
    private volatile @Nullable String problem;

    /** @param port 0 for any free one */
    public DamagedLogPage(Path home, int port, Throwable failure) throws IOException {
        this.home = home;
        this.log = new DamagedLog(home);
        this.sentence = DamagedLog.sentence(failure);
        byte[] random = new byte[16];
        new SecureRandom().nextBytes(random);
        this.token = HexFormat.of().formatHex(random);
        server = HttpServer.create(new InetSocketAddress(InetAddress.getLoopbackAddress(), port), 0);
        server.createContext("/", this::answer);
        server.start();
    }

    public int port() {
        return server.getAddress().getPort();
    }

    /** What the console says. */
    public String words() {
        return sentence + " Nothing was changed. Open http://127.0.0.1:" + port()
                + "/ to choose how to go on; the file is " + home.resolve(StagedLog.DATABASE) + ".";
    }

    /** Waits for a choice. */
    public void await() throws InterruptedException {
        chosen.await();
    }

    private void answer(HttpExchange exchange) throws IOException {
        String host = exchange.getRequestHeaders().getFirst("Host");
        if (host == null || !host.matches("(127\\.0\\.0\\.1|localhost|\\[::1])(:\\d+)?")) {
            send(exchange, 403, "Not here.");
            return;
        }
        if (exchange.getRequestMethod().equals("POST")) {
            String form = new String(exchange.getRequestBody().readNBytes(MAX_FORM_BYTES), StandardCharsets.UTF_8);
            if (form.contains("token=" + token)) {
                choose(exchange, form);
            } else {
                send(exchange, 403, "Open this page again.");
            }
            return;
        }
        send(exchange, exchange.getRequestURI().getPath().equals("/") ? 503 : 404, page());
    }

    private void choose(HttpExchange exchange, String form) throws IOException {
        try {
            List<String> losses = List.of();
            DamagedLog.Offer backup = log.newestBackup();
            if (form.contains("way=backup") && backup != null) {
                log.useBackup(backup.file());
            } else if (form.contains("way=salvage")) {
                losses = log.salvage();
            } else if (form.contains("way=copy") && log.secondCopy() != null) {
                log.useSecondCopy();
            } else if (form.contains("way=empty")) {
                log.startEmpty();
            } else {
                throw new IOException("that is not offered any more");
            }
            send(exchange, 200, done(losses));
            chosen.countDown();
        } catch (IOException e) {
            problem = "That did not work: " + e.getMessage() + ". Nothing was changed.";
            send(exchange, 200, page());
        }
    }

    private String page() {
        DamagedLog.Offer backup = log.newestBackup();
        Path copy = log.secondCopy();
        StringBuilder text = new StringBuilder();
        text.append("<h1>The log cannot be opened</h1><p>")
                .append(HtmlUtils.htmlEscape(sentence))
                .append(" Nothing was changed. Whatever you choose, <code>")
                .append(HtmlUtils.htmlEscape(home.resolve(StagedLog.DATABASE).toString()))
                .append("</code> is kept beside the new log.</p>");
        if (problem != null) {
            text.append("<p class=bad role=alert>")
                    .append(HtmlUtils.htmlEscape(problem))
                    .append("</p>");
        }
        if (backup != null) {
            text.append(way(
                    "backup",
                    "Use the newest backup",
                    "Made " + MINUTE.format(backup.madeAt()) + " UTC, with " + backup.contacts()
                            + (backup.contacts() == 1 ? " contact." : " contacts.")
                            + (copy == null
                                    ? " There is no second copy to read later contacts from."
                                    : " Later contacts are read from the second copy after the start.")));
        }
        text.append(way(
                "salvage",
                "Save what can be read",
                "Reads every row of the damaged file that is still whole and builds a new log of them. It says what is "
                        + "missing."));
        if (copy != null) {
            text.append(way(
                    "copy",
                    "Use the second copy",
                    "Starts with an empty log and reads the contacts of " + copy
                            + " into it; the copy was last written " + written(copy) + ". Settings are not in it."));
        }
        text.append(way(
                "empty", "Start with an empty log", "Contacts can be read in later under Station, Keeping it safe."));
        return html(text.toString());
    }

    private static String written(Path file) {
        try {
            return MINUTE.format(Files.getLastModifiedTime(file).toInstant()) + " UTC";
        } catch (IOException e) {
            return "at an unknown time";
        }
    }

    private String way(String name, String button, String words) {
        return "<form method=post><input type=hidden name=token value=" + token + "><input type=hidden name=way value="
                + name + "><button>" + button + "</button><p>" + HtmlUtils.htmlEscape(words) + "</p></form>";
    }

    private static String done(List<String> losses) {
        StringBuilder text = new StringBuilder("<h1>Yokebar starts again</h1>");
        if (losses.isEmpty()) {
            text.append("<p>All is there. This page becomes Yokebar in some seconds.</p>");
        } else {
            text.append("<p>This could not be read:</p><ul>");
            losses.forEach(loss ->
                    text.append("<li>").append(HtmlUtils.htmlEscape(loss)).append("</li>"));
            text.append("</ul><p>Yokebar is <a href=\"/\">here</a> in some seconds.</p>");
        }
        return html(text.toString());
    }

    private static String html(String body) {
        return "<!doctype html><html lang=en><meta charset=utf-8><meta name=viewport content=\"width=device-width\">"
                + "<title>Yokebar</title><style>body{margin:0;background:#0c1517;color:#e6e0d2;font:16px/1.5 sans-serif}"
                + "main{max-width:640px;margin:64px auto;padding:0 24px}h1{font-size:24px;font-weight:600}"
                + "form{border-top:1px solid #33474a;padding:16px 0}form p{margin:8px 0 0;color:#b3b8ac}"
                + "button{font:inherit;padding:6px 16px;background:#d3a64b;color:#14110a;border:0;border-radius:3px;"
                + "cursor:pointer}form~form button{background:none;color:#d3a64b;border:1px solid #d3a64b}code{font-size:14px}.bad{color:#ff9c7a}a{color:#d3a64b}</style><main>"
                + body
                + "</main></html>";
    }

    private static void send(HttpExchange exchange, int status, String text) throws IOException {
        byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
        exchange.getResponseHeaders().set("Content-Type", "text/html; charset=utf-8");
        exchange.getResponseHeaders().set("X-Frame-Options", "DENY");
        exchange.getResponseHeaders()
                .set("Content-Security-Policy", "default-src 'none'; style-src 'unsafe-inline'; form-action 'self'");
        exchange.sendResponseHeaders(status, bytes.length);
        exchange.getResponseBody().write(bytes);
        exchange.close();
    }

    @Override
    public void close() {
        // The last answer is let out.
        server.stop(1);
    }
}
