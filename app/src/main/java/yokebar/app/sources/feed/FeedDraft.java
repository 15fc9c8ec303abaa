package yokebar.app.sources.feed;

import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import yokebar.app.platform.rejection.Rejection;

/**
 * A feed as an operator sets it up.
 *
 * @param login the call it is greeted with; empty when it asks for none
 * @param password null to keep the one there is, empty for none
 * @param commands said after each login, a line each
 * @param keepAliveSeconds with nothing said for so long an empty line is sent; 0 for never
 * @param skimmer whether receivers on their own speak there, rather than people
 */
record FeedDraft(
        String name,
        String host,
        int port,
        @Nullable String login,
        @Nullable String password,
        @Nullable String commands,
        @Nullable Integer keepAliveSeconds,
        boolean skimmer) {
    private static final int LONGEST_NAME = 60;
    private static final int LONGEST_COMMANDS = 2_000;
    private static final int USUAL_KEEP_ALIVE_S = 240;
    private static final int LONGEST_KEEP_ALIVE_S = 3_600;
    private static final Pattern HOST = Pattern.compile("[A-Za-z0-9.:_-]{1,200}");

    void fill(FeedRow row) {
        String tidy = name == null ? "" : name.strip();
        if (tidy.isEmpty() || tidy.length() > LONGEST_NAME) {
            throw new Rejection("name", "A feed needs a name of up to 60 letters.");
        }
        if (host == null || !HOST.matcher(host.strip()).matches()) {
            throw new Rejection(
                    "host", "The address is a name or a number of a computer, without http and without a port.");
        }
        if (port < 1 || port > 65_535) {
            throw new Rejection("port", "A port is a number from 1 to 65535; who runs the node says which.");
        }
        int alive = keepAliveSeconds == null ? USUAL_KEEP_ALIVE_S : keepAliveSeconds;
        if (alive < 0 || alive > LONGEST_KEEP_ALIVE_S) {
            throw new Rejection("keepAliveSeconds", "Between 0 (never) and 3600 seconds.");
        }
        if (login != null && (login.length() > 60 || login.chars().anyMatch(c -> c < ' '))) {
            throw new Rejection("login", "The log-in name is one line of up to 60 characters.");
        }
        if (password != null && (password.length() > 200 || password.chars().anyMatch(c -> c < ' '))) {
            throw new Rejection("password", "The password is one line of up to 200 characters.");
        }
        String stripped = commands == null ? "" : commands.strip();
        if (stripped.length() > LONGEST_COMMANDS || stripped.chars().anyMatch(c -> c < ' ' && c != '\n' && c != '\r')) {
            throw new Rejection("commands", "Commands are lines of plain text, 2000 letters at the most.");
        }
        row.name = tidy;
        row.host = host.strip();
        row.port = port;
        row.login = login == null ? "" : login.strip();
        row.commands = stripped;
        row.keepAliveSeconds = alive;
        row.skimmer = skimmer;
    }
}
