package yokebar.links.sources.feed;

import java.time.Duration;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How a node is reached.
 *
 * @param login the call to log in with; empty when the node asks for none
 * @param password null when it asks for none
 * @param commands said after each login, one a line
 * @param keepAlive with nothing said for so long an empty line is sent, so that nobody in between cuts the line; zero for never
 * @param quietAfter with nothing heard for so long it counts as quiet
 */
public record NodeSetting(
        String name,
        String host,
        int port,
        String login,
        @Nullable String password,
        List<String> commands,
        Duration keepAlive,
        Duration quietAfter) {

    public NodeSetting {
        commands = List.copyOf(commands);
    }

    @Override
    public String toString() {
        return name + " at " + host + ":" + port;
    }
}
