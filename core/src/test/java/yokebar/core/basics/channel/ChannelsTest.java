package yokebar.core.basics.channel;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ChannelsTest {
    private static final Channels CHANNELS = Channels.read(
            """
            145.700 repeater Pico

            435.100-435.200 satellite LAMP-1
            29,620 Linked Mid Ring
            """);

    @ParameterizedTest
    @CsvSource({
        "145700000, RPT, Pico",
        "145702400, RPT, Pico",
        "435150000, SAT, LAMP-1",
        "29620000, ECH, Mid Ring",
    })
    void tellsWhatCarriesTheSignal(long hz, String propagation, String name) {
        Channel channel = CHANNELS.at(hz).orElseThrow();
        assertThat(channel.propagation().name()).isEqualTo(propagation);
        assertThat(channel.name()).isEqualTo(name);
        assertThat(channel.satellite()).isEqualTo(propagation.equals("SAT") ? name : null);
    }

    @Test
    void elsewhereNothingDoes() {
        assertThat(CHANNELS.at(145_710_000)).isEmpty();
        assertThat(Channels.read(" \n").all()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "145.700 Pico; write it as 145.700 repeater Pico",
                "145.700 tower Pico; \"tower\" is not one of",
                "145700 repeater Pico; write it as",
                "145.700-435.1 satellite LAMP-1; not on one amateur band",
                "99.5 repeater Pico; not on one amateur band",
            })
    void aLineThatIsNoneIsNamed(String line, String why) {
        assertThatThrownBy(() -> Channels.read("145.6 repeater Corvo\n" + line))
                .hasMessageStartingWith("Line 2, ")
                .hasMessageContaining(why);
    }
}
