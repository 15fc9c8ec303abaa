package yokebar.standins.teletype;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import org.junit.jupiter.api.Test;
import yokebar.standins.world.World;

class DecoderTest {
    private final RecordedHour hour = new RecordedHour(new World(9), 1);

    @Test
    void theHourIsTheSameForTheSameSeed() {
        assertThat(new RecordedHour(new World(9), 1).text()).isEqualTo(hour.text());
        assertThat(new RecordedHour(new World(9), 2).text()).isNotEqualTo(hour.text());
        assertThat(hour.text()).contains("CQ TEST ").contains(" 599 ");
    }

    @Test
    void codesEndOneAfterTheOtherWithinTheHour() {
        List<Long> ends = hour.sent().stream().map(RecordedHour.Sent::endMs).toList();
        assertThat(ends).isSorted().doesNotHaveDuplicates();
        assertThat(ends.get(ends.size() - 1)).isLessThan(RecordedHour.LENGTH_MS);
    }

    @Test
    void eachDecoderMakesErrorsOfItsOwn() {
        List<List<Decoder.Printed>> printed = Arrays.stream(Decoder.values())
                .map(decoder -> decoder.receive(hour, 1))
                .toList();
        assertThat(printed).doesNotHaveDuplicates().allSatisfy(one -> {
            assertThat(one.size())
                    .isBetween(hour.text().length() * 8 / 10, hour.text().length() * 12 / 10);
            assertThat(one).isSortedAccordingTo(Comparator.comparing(p -> p.atMs() / 1_000));
            assertThat(one).allMatch(p -> p.certainty() > 0 && p.certainty() <= 1);
        });
    }
}
