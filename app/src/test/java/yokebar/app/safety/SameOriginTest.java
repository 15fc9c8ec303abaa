package yokebar.app.safety;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import yokebar.app.AppTest;

class SameOriginTest extends AppTest {

    @ParameterizedTest
    @ValueSource(strings = {"http://elsewhere.example", "null", "http://127.0.0.1:1", "::not an address"})
    void pagesOfOtherSitesAreTurnedAway(String origin) throws Exception {
        assertThat(knock(origin).statusCode()).isEqualTo(403);
    }

    @Test
    void ourOwnPagesAndProgramsAreNot() throws Exception {
        String own = request("/").build().uri().toString().replaceAll("/$", "");
        assertThat(knock(own).statusCode()).isEqualTo(200);
        assertThat(sendJson("POST", "/api/services/1/test", "").statusCode()).isEqualTo(200);
    }

    private HttpResponse<String> knock(String origin) throws Exception {
        return send(request("/api/services/1/test").header("Origin", origin).POST(HttpRequest.BodyPublishers.noBody()));
    }
}
