package yokebar.standins.http;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import yokebar.standins.http.HttpService.Answer;
import yokebar.standins.http.HttpService.Request;

/**
 * What the services that take contacts have in common: a place on the network that can go down, faults to order, calls they
 * refuse, and a door that not everybody gets through.
 */
public abstract class SimulatedService implements AutoCloseable {
    private final String path;
    private final HttpService http;
    private final SimulatedFaults faults = new SimulatedFaults();
    private final Set<String> refusedCalls = new TreeSet<>();

    /**
     * @param path the first part of its addresses
     * @param port 0 for any free port
     */
    protected SimulatedService(String path, int port) {
        this.path = path;
        this.http = new HttpService(port);
    }

    /** What somebody is told who may not in; null for one who may. */
    protected abstract @Nullable Answer turnAway(Request request);

    /** What is told when an answer could not be made. */
    protected Answer unable(Exception why) throws Exception {
        throw why;
    }

    /** Serves a resource to those who may in, one request at a time. */
    protected final void serve(String resource, HttpService.Handler handler) {
        http.on(
                "/" + path + "/api/" + resource,
                request -> faults.around(request, asked -> {
                    synchronized (this) {
                        Answer no = turnAway(asked);
                        if (no != null) {
                            return no;
                        }
                        try {
                            return handler.answer(asked);
                        } catch (Exception e) {
                            return unable(e);
                        }
                    }
                }));
    }

    /** Turns away, with these words, who does not give this name and password. */
    protected static @Nullable Answer unlessKnown(Request request, String name, String password, String words) {
        String pair = Base64.getEncoder().encodeToString((name + ":" + password).getBytes(StandardCharsets.UTF_8));
        return ("Basic " + pair).equals(request.header("Authorization"))
                ? null
                : Answer.json(401, Map.of("words", words));
    }

    /** Takes the service off the network or brings it back. */
    public final void setUp(boolean up) throws IOException {
        if (up) {
            http.start();
        } else {
            http.stop();
        }
    }

    public final boolean up() {
        return http.running();
    }

    public final String address() {
        return "http://127.0.0.1:" + http.port() + "/" + path + "/";
    }

    public final SimulatedFaults faults() {
        return faults;
    }

    /** From now on contacts with this call are refused, or no longer. */
    public final synchronized void setRefused(String call, boolean refused) {
        if (refused) {
            refusedCalls.add(call);
        } else {
            refusedCalls.remove(call);
        }
    }

    protected final synchronized boolean refuses(String call) {
        return refusedCalls.contains(call);
    }

    public final synchronized Set<String> refusedCalls() {
        return new TreeSet<>(refusedCalls);
    }

    /** Turns a knob that all such services have, by its name; answers whether there is such a knob. */
    public final boolean turn(String knob, Map<String, String> words) throws IOException {
        switch (knob) {
            case "up" -> setUp(!words.getOrDefault("on", "yes").equals("no"));
            case "down" -> setUp(false);
            case "refuse" -> setRefused(words.getOrDefault("call", ""), true);
            case "allow" -> setRefused(words.getOrDefault("call", ""), false);
            default -> {
                return faults.turn(knob, words);
            }
        }
        return true;
    }

    @Override
    public void close() {
        http.close();
    }
}
