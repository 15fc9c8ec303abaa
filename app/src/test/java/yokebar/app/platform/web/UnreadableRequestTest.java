package yokebar.app.platform.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.util.Map;
import org.junit.jupiter.api.Test;
import yokebar.app.AppTest;

class UnreadableRequestTest extends AppTest {
    private String answer(String body) throws Exception {
        HttpResponse<String> answer = send(request("/api/radios/1/tune")
                .header("Content-Type", "application/json")
                .POST(BodyPublishers.ofString(body)));
        assertThat(answer.statusCode()).isEqualTo(400);
        return JSON.readTree(answer.body()).path("detail").asString();
    }

    @Test
    void whatIsNotThereIsSaidInOurWords() throws Exception {
        assertThat(send(request("/api/hookups/none").GET()).body())
                .contains("There is nothing at /api/hookups/none; /api/docs says what there is.");
        assertThat(send(request("/api/radios").DELETE()).body()).contains("DELETE cannot be done with that");
    }

    @Test
    void whatIsNoJsonIsSaidWithItsPlace() throws Exception {
        assertThat(answer("{\"mode\": \"CW\",\n  oops}")).startsWith("The request is not JSON: see line 2, character ");
    }

    @Test
    void aValueOfTheWrongKindIsNamed() throws Exception {
        assertThat(answer("{\"frequencyHz\": {\"hz\": 7}}"))
                .startsWith("\"frequencyHz\" has a value of the wrong kind");
    }

    @Test
    void aNumberThatIsNotThereIsNamed() throws Exception {
        assertThat(sendJson("PUT", "/api/picture-replies/layouts", Map.of("name", "Plain"))
                        .body())
                .contains("\\\"width\\\" is missing.");
    }

    @Test
    void anEmptyRequestIsNamed() throws Exception {
        assertThat(answer("")).startsWith("The request has no body");
    }
}
