package yokebar.app.sources.intake;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.app.AppTest;

class ImportTest extends AppTest {

    @Test
    void countsWhatItDidAndTellsProblemsByLine() throws Exception {
        String file = "log\n<eoh>\n" + contact("ZP5QXA") + "\n" + contact("ZP5QXA") + "\n"
                + contact("ZP5QXA", "name", "Ana") + "\n" + contact("OZ1QAB", "mode", "NOISE") + "\n"
                + contact("OZ1QCD")
                + "\n<call:6>OZ1Q";
        JsonNode result = importText(file);
        assertThat(result.path("read").asInt()).isEqualTo(6);
        assertThat(result.path("added").asInt()).isEqualTo(2);
        assertThat(result.path("merged").asInt()).isEqualTo(1);
        assertThat(result.path("duplicates").asInt()).isEqualTo(1);
        assertThat(result.path("refused").asInt()).isEqualTo(2);
        JsonNode problem = result.path("problems").get(0);
        assertThat(problem.path("record").asInt()).isEqualTo(4);
        assertThat(problem.path("line").asInt()).isEqualTo(6);
        assertThat(problem.path("message").asString()).startsWith("MODE \"NOISE\"");
        assertThat(result.path("problems").get(1).path("message").asString()).contains("cut off");
    }

    @Test
    void whatCameInGoesOutAndInAgainWithoutChange() throws Exception {
        StringBuilder file = new StringBuilder();
        for (int i = 0; i < 2500; i++) {
            file.append(contact(
                    "OZ1Q" + (char) ('A' + i % 26) + (char) ('A' + i / 26 % 26) + i / 676,
                    "name",
                    "Name " + i,
                    "app_x",
                    "é" + i));
        }
        assertThat(importText(file.toString()).path("added").asInt()).isEqualTo(2500);
        String out = wholeLog();
        JsonNode again = importText(out);
        assertThat(again.path("duplicates").asInt()).isEqualTo(2500);
        assertThat(again.path("read").asInt()).isEqualTo(2500);
        assertThat(wholeLog().substring(150)).isEqualTo(out.substring(150));
    }

    @Test
    void aFileThatIsNoLogSaysSo() throws Exception {
        JsonNode result = importText("\u0000\u0001PNG something");
        assertThat(result.path("refused").asInt()).isEqualTo(1);
        assertThat(result.path("problems").get(0).path("message").asString()).contains("not ADIF");
    }
}
