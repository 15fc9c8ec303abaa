package yokebar.core.operate.contest.pace;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.operate.contest.ContestContact;
import yokebar.core.operate.contest.ContestMode;

class TimeSpentTest {
    private static final Duration BREAKS = Duration.ofMinutes(30);
    private final List<ContestContact> contacts = new ArrayList<>();

    private static Instant at(int minute) {
        return Instant.parse("2027-01-02T12:00:00Z").plus(Duration.ofMinutes(minute));
    }

    private TimeSpentTest worked(int minute, long hz) {
        return add(minute, Band.of(hz), hz);
    }

    private TimeSpentTest add(int minute, Band band, Long hz) {
        contacts.add(new ContestContact(
                contacts.size(), at(minute), new Call("DL1QAA"), band, hz, ContestMode.CW, Map.of()));
        return this;
    }

    private TimeSpent spent(int until) {
        return TimeSpent.of(contacts, BREAKS, at(0), at(until));
    }

    private static TimeSpent minutes(int running, int searching, int unknown, int off) {
        return new TimeSpent(
                Duration.ofMinutes(running),
                Duration.ofMinutes(searching),
                Duration.ofMinutes(unknown),
                Duration.ofMinutes(off));
    }

    @Test
    void theFrequenciesTellWhoRunsAndWhoSearches() {
        worked(10, 14_025_000).worked(13, 14_025_200).worked(15, 14_031_000).worked(20, 14_040_000);
        worked(24, 14_050_000).worked(25, 14_050_000);
        assertThat(spent(30)).as("a run begins with its first contact").isEqualTo(minutes(3 + 4 + 1, 2 + 5, 0, 10));
    }

    @Test
    void whoRunsOnOneBandWhileAnotherSearchesOnAnotherIsSeen() {
        worked(0, 14_025_000).worked(2, 7_010_000).worked(3, 14_025_000).worked(5, 7_012_000);
        assertThat(spent(5)).isEqualTo(minutes(1, 4, 0, 0));
    }

    @Test
    void aBreakIsTimeOffAlsoTheLastOne() {
        worked(0, 14_025_000).worked(10, 14_025_000).worked(40, 14_025_000);
        assertThat(spent(69)).isEqualTo(minutes(10, 0, 0, 30));
        assertThat(spent(70)).isEqualTo(minutes(10, 0, 0, 60));
    }

    @Test
    void nothingIsGuessedOfAContactWithoutAFrequency() {
        worked(0, 14_025_000).add(5, Band.M20, null).worked(9, 14_025_000);
        assertThat(spent(9)).isEqualTo(minutes(0, 4, 5, 0));
        contacts.clear();
        assertThat(spent(9)).isEqualTo(minutes(0, 0, 0, 9));
        assertThat(spent(-9)).as("before the contest").isEqualTo(minutes(0, 0, 0, 0));
    }

    /** But for what is between the last contact and the present, and less than a break. */
    @Property(tries = 200)
    void noTimeIsLostOrCountedTwice(@ForAll @Size(min = 1, max = 40) List<@IntRange(max = 300) Integer> minutes) {
        contacts.clear();
        minutes.stream().sorted().forEach(minute -> worked(minute, 14_000_000 + minute % 7 * 1_000));
        TimeSpent spent = spent(400);
        Duration all =
                spent.running().plus(spent.searching()).plus(spent.unknown()).plus(spent.off());
        assertThat(all).isEqualTo(Duration.ofMinutes(400));
    }
}
