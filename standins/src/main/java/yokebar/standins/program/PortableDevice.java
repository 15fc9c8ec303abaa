package yokebar.standins.program;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.Random;
import yokebar.standins.http.HttpService;
import yokebar.standins.http.HttpService.Answer;
import yokebar.standins.world.World;

/** The tablet on the caldera rim: made some contacts with five watts and offers its log to the house over HTTP. */
public final class PortableDevice implements AutoCloseable {
    private static final int CONTACTS = 24;
    private static final int MINUTES_APART = 9;

    private final HttpService http;
    private final World world;
    private final Clock clock;

    /** @param port 0 for any free port */
    public PortableDevice(World world, Clock clock, int port) throws IOException {
        this.world = world;
        this.clock = clock;
        this.http = new HttpService(port)
                .on("/log.adi", request -> new Answer(200, "text/plain", log().getBytes(StandardCharsets.UTF_8)));
        http.start();
    }

    /** Where its log is. */
    public String address() {
        return "http://127.0.0.1:" + http.port() + "/log.adi";
    }

    /** Takes it off the network or brings it back. */
    public void setUp(boolean up) throws IOException {
        if (up) {
            http.start();
        } else {
            http.stop();
        }
    }

    private String log() {
        Random random = new Random(4);
        Instant now = clock.instant();
        StringBuilder text = new StringBuilder("Caldera rim\n<adif_ver:5>3.1.4 <eoh>\n");
        for (int i = 0; i < CONTACTS; i++) {
            Instant end = now.minusSeconds((CONTACTS - i) * MINUTES_APART * 60L);
            text.append(ProgramContact.text(ProgramContact.make("CU9QYB", "HM49lq", world.any(random), end, random)))
                    .append('\n');
        }
        return text.toString();
    }

    @Override
    public void close() {
        http.close();
    }
}
