package yokebar.core.operate.net;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class NetEntryTest {
    private static List<String> calls(String text) {
        return NetEntry.read(text, MarkWords.USUAL).stations().stream()
                .map(heard -> heard.call() == null ? heard.text() + "?" : heard.text())
                .toList();
    }

    @Test
    void eachCallOrPartOfACallIsACheckIn() {
        assertThat(calls("cu9qyb zp5qxa/p qlz")).containsExactly("CU9QYB", "ZP5QXA/P", "QLZ?");
        assertThat(calls("9qy branca oz/cu9qyb")).containsExactly("9QY?", "BRANCA?", "OZ/CU9QYB");
    }

    @Test
    void aCallTypedTwiceIsOneCheckIn() {
        assertThat(calls("cu9qyb CU9QYB")).containsExactly("CU9QYB");
    }

    @Test
    void theRelayingStationStandsBehindVia() {
        NetEntry entry = NetEntry.read("cu9qyb via zp5qxa qlz", MarkWords.USUAL);
        assertThat(entry.via()).isNotNull();
        assertThat(entry.via().text()).isEqualTo("ZP5QXA");
        assertThat(calls("cu9qyb via zp5qxa qlz")).containsExactly("CU9QYB", "QLZ?");
        assertThat(NetEntry.read("cu9qyb via", MarkWords.USUAL).problems())
                .containsExactly("Relayed by which station? Write its call after via.");
    }

    @Test
    void wordsSayWhatAStationSaysOfItself() {
        NetEntry entry = NetEntry.read("Traffic cu9qyb EARLY", MarkWords.USUAL);
        assertThat(entry.marks()).containsExactlyInAnyOrder(CheckInMark.TRAFFIC, CheckInMark.EARLY);
        assertThat(entry.stations()).hasSize(1);
        assertThat(NetEntry.read("listening", MarkWords.USUAL).marks()).containsExactly(CheckInMark.LISTENING);
    }

    @Test
    void reportsAreSentThenReceivedAndOfOneStation() {
        NetEntry entry = NetEntry.read("59 57 ; good audio; from the car", MarkWords.USUAL);
        assertThat(entry.stations()).isEmpty();
        assertThat(entry.sent()).isEqualTo("59");
        assertThat(entry.received()).isEqualTo("57");
        assertThat(entry.note()).isEqualTo("good audio; from the car");
        assertThat(NetEntry.read("cu9qyb 599", MarkWords.USUAL).received()).isNull();
        assertThat(NetEntry.read("cu9qyb zp5qxa 59", MarkWords.USUAL).problems())
                .containsExactly("Type the report of one station at a time.");
        assertThat(NetEntry.read("59 57 55", MarkWords.USUAL).problems()).hasSize(1);
    }

    @ParameterizedTest
    @ValueSource(strings = {"x", "cu9qyb!", "cu9\u0000", "a-b", "123456789012345678901234567890"})
    void whatCannotBeACallIsNamedAndTheRestIsRead(String word) {
        NetEntry entry = NetEntry.read("zp5qxa " + word, MarkWords.USUAL);
        assertThat(entry.problems()).containsExactly("\"" + word + "\" cannot be a call or a part of one.");
        assertThat(entry.stations()).hasSize(1);
    }

    @Test
    void anEmptyLineIsNothing() {
        NetEntry entry = NetEntry.read("  ", MarkWords.USUAL);
        assertThat(entry.stations()).isEmpty();
        assertThat(entry.problems()).isEmpty();
        assertThat(entry.note()).isNull();
    }
}
