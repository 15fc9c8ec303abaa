package yokebar.core.sources.spot;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Random;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.mode.Mode;

class HeardListTest {
    private static final Instant NOW = Instant.parse("2026-05-01T14:07:00Z");
    private static final Mode CW = new Mode("CW", null);

    private final HeardList list = new HeardList(Duration.ofMinutes(20), 5_000);

    private static ClusterLine.Spot spot(String spotter, boolean automatic, long hertz, String call, String comment) {
        return new ClusterLine.Spot(
                new Call(spotter),
                automatic,
                hertz,
                new Call(call),
                comment,
                automatic ? 12 : null,
                automatic,
                null,
                null);
    }

    @Test
    void oneSignalToldByManyIsOneEntry() {
        list.take(spot("OZ1QAB", true, 14_025_100, "ZP5QXA", "CW 12 dB CQ"), CW, NOW);
        list.take(spot("CU9QYB", false, 14_025_000, "ZP5QXA", "up 2"), null, NOW.plusSeconds(30));
        list.take(spot("K1QFO", true, 14_025_900, "ZP5QXA", "CW 7 dB"), CW, NOW.plusSeconds(40));
        list.take(spot("K1QFO", true, 21_025_000, "ZP5QXA", "CW 7 dB"), CW, NOW.plusSeconds(50));
        assertThat(list.all()).hasSize(2);
        Heard heard = list.all().get(1);
        assertThat(heard.frequencyHz()).isEqualTo(14_025_900);
        assertThat(heard.hearers())
                .extracting(hearer -> hearer.call().text())
                .containsExactly("K1QFO", "CU9QYB", "OZ1QAB");
        assertThat(heard.mode()).isEqualTo(CW);
        assertThat(heard.comment()).isEqualTo("up 2");
        assertThat(heard.firstAt()).isEqualTo(NOW);
        assertThat(heard.lastAt()).isEqualTo(NOW.plusSeconds(40));
        assertThat(heard.doubt()).isNull();
    }

    @Test
    void aLoneReceiverOneSlipFromAWellHeardCallIsDoubted() {
        for (String hearer : List.of("OZ1QAB", "OZ2QAB", "OZ3QAB")) {
            list.take(spot(hearer, true, 14_025_000, "ZP5QXA", ""), CW, NOW);
        }
        list.take(spot("K1QFO", true, 14_025_300, "ZP5QXB", ""), CW, NOW);
        list.take(spot("K1QFO", true, 14_025_300, "LU1QZZ", ""), CW, NOW);
        list.take(spot("K1QFO", true, 14_035_300, "ZP5QXC", ""), CW, NOW);
        list.take(spot("CU9QYB", false, 14_025_300, "ZP5QXD", "sure"), CW, NOW);
        assertThat(doubt("ZP5QXB")).isEqualTo("ZP5QXA");
        assertThat(doubt("LU1QZZ")).isNull();
        assertThat(doubt("ZP5QXC")).as("elsewhere").isNull();
        assertThat(doubt("ZP5QXD")).as("a person listened").isNull();
        list.take(spot("W1QAA", true, 14_025_300, "ZP5QXB", ""), CW, NOW);
        assertThat(doubt("ZP5QXB")).as("a second one agrees").isNull();
    }

    private String doubt(String call) {
        return list.all().stream()
                .filter(heard -> heard.call().text().equals(call))
                .map(heard -> heard.doubt() == null ? null : heard.doubt().text())
                .toList()
                .get(0);
    }

    @Test
    void whatIsNotHeardAgainGoes() {
        list.take(spot("OZ1QAB", true, 14_025_000, "ZP5QXA", ""), CW, NOW);
        list.take(spot("OZ2QAB", true, 14_025_000, "ZP5QXA", ""), CW, NOW.plus(Duration.ofMinutes(15)));
        list.expire(NOW.plus(Duration.ofMinutes(21)));
        assertThat(list.all().get(0).hearers()).hasSize(1);
        list.expire(NOW.plus(Duration.ofMinutes(36)));
        assertThat(list.all()).isEmpty();
        assertThat(list.size()).isZero();
    }

    /** However spots come, nobody who told of a station within the time is left out, and no entry has nobody. */
    @Property(tries = 50)
    void nobodyIsLeftOut(@ForAll long seed) {
        Random random = new Random(seed);
        HeardList any = new HeardList(Duration.ofMinutes(20), 5_000);
        List<ClusterLine.Spot> spots = new ArrayList<>();
        Set<String> reported = new HashSet<>();
        for (int i = 0; i < 300; i++) {
            String call = "K" + random.nextInt(10) + "QAA";
            String spotter = "OZ" + random.nextInt(10) + "QBB";
            long hertz = 14_000_000 + random.nextInt(12) * 10_000L;
            spots.add(spot(spotter, random.nextBoolean(), hertz, call, ""));
            reported.add(call + " " + hertz + " " + spotter);
        }
        Collections.shuffle(spots, random);
        spots.forEach(spot -> any.take(spot, CW, NOW));
        Set<String> kept = new HashSet<>();
        for (Heard heard : any.all()) {
            assertThat(heard.hearers()).isNotEmpty();
            heard.hearers().forEach(hearer -> kept.add(heard.call() + " " + heard.frequencyHz() + " " + hearer.call()));
        }
        assertThat(kept).isEqualTo(reported);
        any.expire(NOW.plus(Duration.ofHours(1)));
        assertThat(any.size()).isZero();
    }
}
