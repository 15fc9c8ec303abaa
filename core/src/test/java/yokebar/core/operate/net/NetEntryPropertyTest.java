package yokebar.core.operate.net;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Locale;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

/** Whatever is typed or pasted, a line of the net sheet is read. */
class NetEntryPropertyTest {
    @Property(tries = 500)
    void anyTextIsRead(@ForAll String text) {
        NetEntry entry = NetEntry.read(text, MarkWords.USUAL);
        assertThat(entry.stations())
                .allMatch(heard -> heard.call() == null || heard.call().text().equals(heard.text()));
        assertThat(entry.stations().stream().map(NetEntry.Heard::text).distinct())
                .hasSize(entry.stations().size());
    }

    @Property(tries = 300)
    void aWholeCallChecksInWhateverStandsAroundIt(@ForAll("calls") String call, @ForAll("words") String word) {
        NetEntry entry = NetEntry.read(word + " " + call.toLowerCase(Locale.ROOT) + " ; " + word, MarkWords.USUAL);
        assertThat(entry.stations())
                .anyMatch(heard -> heard.call() != null && heard.call().text().equals(call));
        assertThat(entry.note()).isEqualTo(word);
    }

    @Provide
    Arbitrary<String> calls() {
        return Arbitraries.strings()
                .withCharRange('A', 'Z')
                .ofLength(2)
                .map(letters -> "CU" + (letters.charAt(0) - 'A') % 10 + "Q" + letters);
    }

    @Provide
    Arbitrary<String> words() {
        return Arbitraries.of("traffic", "early", "listening", "59", "!?", "branca", "9qy");
    }
}
