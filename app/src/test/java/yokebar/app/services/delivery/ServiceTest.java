package yokebar.app.services.delivery;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;
import yokebar.standins.countersign.Countersign;
import yokebar.standins.postbag.Postbag;
import yokebar.standins.quayside.Quayside;
import yokebar.standins.world.World;

/** The services of the simulated world beside the application, each not in use until it is asked for. */
public abstract class ServiceTest extends AppTest {
    public static final int COUNTERSIGN = 1;

    protected static final int QUAYSIDE = 2;

    protected static final int POSTBAG = 3;

    protected static final int PAPER = 4;

    @TempDir
    public Path folder;

    public final World world = new World(9);

    public Countersign countersign;

    protected Quayside quayside;

    protected Postbag postbag;

    @BeforeEach
    void startServices() throws Exception {
        countersign = new Countersign(world, Clock.systemUTC(), folder.resolve("countersign"), 0);
        countersign.setQueueDelay(Duration.ZERO);
        countersign.setPaceOfOthers(0);
        quayside = new Quayside(Clock.systemUTC(), folder.resolve("quayside"), 0);
        postbag = new Postbag(world, Clock.systemUTC(), folder.resolve("postbag"), 0);
        postbag.setPaceOfOthers(0);
    }

    @AfterEach
    void stopServices() {
        countersign.close();
        quayside.close();
        postbag.close();
    }

    protected void useCountersign() throws Exception {
        put(
                "/api/services/1",
                Map.of(
                        "address",
                        countersign.address(),
                        "account",
                        Countersign.ACCOUNT,
                        "password",
                        Countersign.PASSWORD,
                        "fetchEverySeconds",
                        86_400));
    }

    protected void installIdentity(String call, String from, String until) throws Exception {
        byte[] file = countersign
                .authority()
                .issue(call, Instant.parse(from + "T00:00:00Z"), Instant.parse(until + "T23:59:59Z"), "lamp-oil");
        HttpResponse<String> answer =
                upload("/api/services/1/identities", "id.p12", file, Map.of("passphrase", "lamp-oil"));
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
    }

    /** A call the station may use for some days. */
    protected void useEventCall(String call, String from, String until) throws Exception {
        sendJson("POST", "/api/station/calls", Map.of("callSign", call, "validFrom", from, "validUntil", until));
    }

    protected void useQuayside() throws Exception {
        put(
                "/api/services/2",
                Map.of("inUse", true, "address", quayside.address(), "password", Quayside.KEY, "when", "AT_ONCE"));
    }

    protected void usePostbag() throws Exception {
        put(
                "/api/services/3",
                Map.of(
                        "inUse",
                        true,
                        "address",
                        postbag.address(),
                        "account",
                        Postbag.NAME,
                        "password",
                        Postbag.PASSWORD,
                        "when",
                        "AT_ONCE",
                        "fetchEverySeconds",
                        86_400));
    }

    protected JsonNode lane(int serviceId) {
        try {
            for (JsonNode lane : get("/api/services")) {
                if (lane.path("id").asInt() == serviceId) {
                    return lane;
                }
            }
        } catch (Exception e) {
            throw new IllegalStateException(e);
        }
        throw new IllegalStateException("no lane " + serviceId);
    }

    protected String state(String call, int serviceId) {
        List<String> states = jdbc.queryForList(
                "select d.state from contact c join delivery d on d.contact_id = c.id and d.service_id = ? where c.call_sign = ?",
                String.class,
                serviceId,
                call);
        return states.isEmpty() ? "" : states.get(0);
    }

    protected void awaitState(String call, int serviceId, String state) {
        await(call + " " + state, () -> state(call, serviceId).equals(state));
    }

    protected long idOf(String call) {
        return jdbc.queryForObject("select id from contact where call_sign = ?", Long.class, call);
    }

    protected void edit(String call, Map<String, String> changes) throws Exception {
        long id = idOf(call);
        int version = get("/api/contacts/" + id).path("version").asInt();
        HttpResponse<String> answer =
                sendJson("PATCH", "/api/contacts/" + id, Map.of("version", version, "changes", changes));
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
    }

    /** A contact as the other side logged it, seen from here. */
    protected static Map<String, String> theirs(String call, String time) {
        Map<String, String> fields = new LinkedHashMap<>();
        fields.put("STATION_CALLSIGN", "CU9QYB");
        fields.put("CALL", call);
        fields.put("BAND", "20m");
        fields.put("MODE", "FT8");
        fields.put("QSO_DATE", "20260501");
        fields.put("TIME_ON", time);
        return fields;
    }
}
