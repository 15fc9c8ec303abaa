package yokebar.app.sources.feed;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.app.platform.rejection.Rejection;

class FeedDraftTest {
    private static FeedDraft draft(String name, String host, int port, Integer keepAliveSeconds, String commands) {
        return new FeedDraft(name, host, port, " CU9QYB ", null, commands, keepAliveSeconds, false);
    }

    @Test
    void whatIsLeftOutIsAsUsualAndBlanksAroundAreNotKept() {
        FeedRow row = new FeedRow();
        draft(" Beacon Hill ", " node.example ", 7300, null, "set/skimmer\nsh/dx 10\n")
                .fill(row);
        assertThat(row.name).isEqualTo("Beacon Hill");
        assertThat(row.host).isEqualTo("node.example");
        assertThat(row.login).isEqualTo("CU9QYB");
        assertThat(row.keepAliveSeconds).isEqualTo(240);
        assertThat(row.commands).isEqualTo("set/skimmer\nsh/dx 10");
    }

    @ParameterizedTest(name = "{4}")
    @CsvSource({
        "'', node.example, 7300, 60, name",
        "Hill, http://node.example, 7300, 60, host",
        "Hill, 'node example', 7300, 60, host",
        "Hill, node.example, 0, 60, port",
        "Hill, node.example, 65536, 60, port",
        "Hill, node.example, 7300, -1, keepAliveSeconds",
        "Hill, node.example, 7300, 3601, keepAliveSeconds",
    })
    void whatMakesNoSenseIsNamed(String name, String host, int port, int keepAliveSeconds, String field) {
        assertThatThrownBy(() -> draft(name, host, port, keepAliveSeconds, "").fill(new FeedRow()))
                .isInstanceOfSatisfying(Rejection.class, rejection -> assertThat(rejection.fields())
                        .extracting(Rejection.Field::field)
                        .containsExactly(field));
    }

    @Test
    void commandsAreLinesOfText() {
        assertThatThrownBy(() ->
                        draft("Hill", "node.example", 7300, 60, "sh/dx\u0007").fill(new FeedRow()))
                .isInstanceOf(Rejection.class)
                .hasMessageContaining("plain text");
    }
}
