package yokebar.app.platform.web;

import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;
import yokebar.app.platform.configuration.YokebarProperties;

/**
 * The names this application answers to. A page on another site can make the operator's browser send requests here under a
 * name of its own that it has pointed to this computer; under such a name nothing is served.
 */
@Component
class AllowedHosts {
    private final Set<String> added = new TreeSet<>();

    /** @param added names besides those of this computer itself, with commas between */
    @Autowired
    AllowedHosts(YokebarProperties properties) {
        this(properties.allowedHosts());
    }

    AllowedHosts(List<String> names) {
        names.forEach(name -> added.add(name.toLowerCase(Locale.ROOT)));
    }

    /** @param authority a host, with or without a port, as in the header {@code Host} */
    boolean allows(@Nullable String authority) {
        if (authority == null || authority.isEmpty() || authority.length() > 255) {
            return false;
        }
        String host = host(authority.toLowerCase(Locale.ROOT));
        return host.equals("localhost")
                || host.endsWith(".localhost")
                || host.equals("[::1]")
                || isLoopback(host)
                || added.contains(host);
    }

    private static String host(String authority) {
        int end = authority.startsWith("[") ? authority.indexOf(']') + 1 : authority.indexOf(':');
        return end <= 0 ? authority : authority.substring(0, end);
    }

    /** {@code 127.} and three more numbers; a name that only begins so is none. */
    private static boolean isLoopback(String host) {
        if (!host.startsWith("127.")) {
            return false;
        }
        int dots = 0;
        for (int i = 0; i < host.length(); i++) {
            char c = host.charAt(i);
            if (c == '.') {
                dots++;
            } else if (c < '0' || c > '9') {
                return false;
            }
        }
        return dots == 3;
    }
}
