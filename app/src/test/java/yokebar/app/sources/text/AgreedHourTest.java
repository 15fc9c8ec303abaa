package yokebar.app.sources.text;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import yokebar.core.sources.text.AgreedText;
import yokebar.core.sources.text.HeardCharacter;
import yokebar.standins.teletype.Decoder;
import yokebar.standins.teletype.RecordedHour;
import yokebar.standins.world.World;

/** Decoders that know nothing of how they are voted together, on a recorded hour. */
class AgreedHourTest {
    private static final RecordedHour HOUR = new RecordedHour(new World(9), 3);

    private static final Map<Decoder, List<Decoder.Printed>> PRINTED = Arrays.stream(Decoder.values())
            .collect(Collectors.toMap(Function.identity(), decoder -> decoder.receive(HOUR, 3)));

    @Test
    void anyTwoDecodersReadMoreTogetherThanTheBetterAlone() {
        for (Decoder one : Decoder.values()) {
            for (Decoder other : Decoder.values()) {
                if (one.ordinal() < other.ordinal()) {
                    double better = Math.min(wrong(alone(one)), wrong(alone(other)));
                    assertThat(wrong(agreed(one, other)))
                            .as(one + " and " + other)
                            .isLessThan(better);
                }
            }
        }
    }

    @Test
    void allTogetherReadMoreThanAnyTwo() {
        double all = wrong(agreed(Decoder.values()));
        assertThat(all).isLessThan(0.8 * wrong(alone(Decoder.NARROW)));
        assertThat(all).isLessThan(wrong(agreed(Decoder.NARROW, Decoder.DIVERSITY)));
    }

    private static String alone(Decoder decoder) {
        StringBuilder text = new StringBuilder();
        PRINTED.get(decoder).forEach(one -> text.append(one.character()));
        return text.toString();
    }

    private static String agreed(Decoder... decoders) {
        List<HeardCharacter> heard = new ArrayList<>();
        for (Decoder decoder : decoders) {
            PRINTED.get(decoder)
                    .forEach(one -> heard.add(
                            new HeardCharacter(decoder.title(), one.atMs(), one.character(), one.certainty())));
        }
        heard.sort(Comparator.comparing(HeardCharacter::atMs));
        AgreedText agreed = new AgreedText();
        StringBuilder text = new StringBuilder();
        for (HeardCharacter one : heard) {
            agreed.hear(one);
            agreed.settled(one.atMs()).forEach(settled -> text.append(settled.character()));
        }
        agreed.rest().forEach(settled -> text.append(settled.character()));
        return text.toString();
    }

    /** The share of calls, reports and serials that were sent and are not in what was read, each as often as it was sent. */
    private static double wrong(String read) {
        List<String> words = new ArrayList<>(List.of(HOUR.text().split("\\s+")));
        int sent = words.size();
        for (String word : read.split("\\s+")) {
            words.remove(word);
        }
        return (double) words.size() / sent;
    }
}
