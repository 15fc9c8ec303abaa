package yokebar.app.station.callbook;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Random;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;
import yokebar.app.platform.rejection.Rejection;

class CallbookFileTest {
    private static final String[] PIECES = {
        "call",
        ",",
        "name",
        "\n",
        "\"",
        "ZP5QXA",
        "<call:6>",
        "<eor>",
        "<eoh>",
        "Ana",
        ";",
        "\r\n",
        "gg14",
        "locator",
        "\u0000",
        "é"
    };

    private static CallbookFile.Content read(String text) throws IOException {
        return CallbookFile.read(new ByteArrayInputStream(text.getBytes(StandardCharsets.UTF_8)));
    }

    @Test
    void columnsMayStandInAnyOrderAndBeCalledInSeveralWays() throws Exception {
        CallbookFile.Content content = read("Grid,Operator,Call Sign,City,State\ngg14ab,Ana,zp5qxa/p,Larkspur,CA\n");
        CallbookFileEntry entry = content.entries().get(0);
        assertThat(entry.callSign).isEqualTo("ZP5QXA");
        assertThat(entry.name).isEqualTo("Ana");
        assertThat(entry.town).isEqualTo("Larkspur");
        assertThat(entry.state).isEqualTo("CA");
        assertThat(entry.locator).isEqualTo("GG14ab");
    }

    @Test
    void theLastLineForACallStandsAndLongValuesAreCut() throws Exception {
        CallbookFile.Content content = read("call,name\nZP5QXA,Ana\nZP5QXA," + "b".repeat(300) + "\n");
        assertThat(content.entries()).hasSize(1);
        assertThat(content.entries().get(0).name).hasSize(80);
    }

    @RepeatedTest(300)
    void anyFileIsReadOrRefusedInWords(RepetitionInfo repetition) throws Exception {
        Random random = new Random(repetition.getCurrentRepetition());
        StringBuilder text = new StringBuilder();
        for (int i = random.nextInt(40); i > 0; i--) {
            text.append(PIECES[random.nextInt(PIECES.length)]);
        }
        try {
            assertThat(read(text.toString()).entries()).isNotEmpty();
        } catch (Rejection e) {
            assertThat(e.sentence()).endsWith(".");
        }
    }
}
