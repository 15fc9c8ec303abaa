package yokebar.app.log;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URLEncoder;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;

/** A search that cannot be understood finds nothing and says so; nothing is changed, deleted or exported by it. */
class UnreadableSearchTest extends AppTest {

    @BeforeEach
    void someContacts() throws Exception {
        importText(contact("ZP5QXA") + contact("K1QAB", "lamp", "lit"));
    }

    private static String encoded(String search) {
        return URLEncoder.encode(search, StandardCharsets.UTF_8);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "date:2026-02-30",
                "-date:2026-02-30",
                "-colour:red",
                "nmae:none",
                "freq:low",
                "-band:21m",
                "-mode:ccw"
            })
    void findsNothingAndIsRefusedWhereItWouldActOnTheLog(String search) throws Exception {
        JsonNode rows = get("/api/log/rows?search=" + encoded(search));
        assertThat(rows.path("found").asInt()).isZero();
        assertThat(rows.path("problems")).hasSize(1);
        for (String format : new String[] {"adi", "adx", "csv"}) {
            HttpResponse<String> export = send(request("/api/contacts." + format + "?search=" + encoded(search))
                    .GET());
            assertThat(export.statusCode()).isEqualTo(422);
            assertThat(export.body()).doesNotContain("ZP5QXA").contains("\"field\":\"search\"");
        }
        assertThat(sendJson("POST", "/api/changes/delete", Map.of("search", search))
                        .statusCode())
                .isEqualTo(422);
        assertThat(sendJson(
                                "POST",
                                "/api/changes/edit",
                                Map.of("selection", Map.of("search", search), "changes", Map.of("NAME", "Ana")))
                        .statusCode())
                .isEqualTo(422);
        assertThat(count("contact")).isEqualTo(2);
        assertThat(wholeLog()).doesNotContain("Ana");
    }

    @ParameterizedTest
    @ValueSource(strings = {"lamp:lit", "-lamp:none", "quayside:none call:k1*", "gridsquare_ext:none call:k1*"})
    void fieldsOfTheLogAndOfTheStandardAreKnown(String search) throws Exception {
        JsonNode rows = get("/api/log/rows?search=" + encoded(search));
        assertThat(rows.path("problems")).isEmpty();
        assertThat(rows.path("found").asInt()).isEqualTo(1);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "?search=k1"})
    void tablesNeedNameNoColumns(String query) throws Exception {
        assertThat(text("/api/contacts.csv" + query))
                .startsWith("QSO_DATE,TIME_ON,CALL,BAND")
                .contains("K1QAB");
    }
}
