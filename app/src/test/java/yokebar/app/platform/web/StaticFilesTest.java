package yokebar.app.platform.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpResponse;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;
import yokebar.app.AppTest;

class StaticFilesTest extends AppTest {
    private static final Pattern ASSET = Pattern.compile("/assets/[^\"]+\\.js");

    @Test
    void thePageIsAskedForEachTimeAndItsPartsAreKept() throws Exception {
        HttpResponse<String> page = send(request("/"));
        assertThat(page.headers().firstValue("Cache-Control")).contains("no-store");
        assertThat(page.headers().firstValue("Last-Modified")).isEmpty();
        Matcher part = ASSET.matcher(page.body());
        assertThat(part.find()).as(page.body()).isTrue();
        HttpResponse<String> script = send(request(part.group()));
        assertThat(script.statusCode()).isEqualTo(200);
        assertThat(script.headers().firstValue("Content-Type"))
                .hasValueSatisfying(type -> assertThat(type).contains("javascript"));
        assertThat(script.headers().firstValue("Cache-Control"))
                .hasValueSatisfying(kept -> assertThat(kept).contains("immutable"));
        assertThat(send(request("/assets/gone-0000.js")).statusCode()).isEqualTo(404);
    }
}
