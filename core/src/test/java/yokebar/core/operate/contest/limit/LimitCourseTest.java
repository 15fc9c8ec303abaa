package yokebar.core.operate.contest.limit;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;
import yokebar.core.basics.band.Band;

class LimitCourseTest {
    private static final Instant BEGIN = Instant.parse("2027-01-02T12:00:00Z");
    private static final Limit TIME = new Limit.OperatingTime(Duration.ofHours(1), Duration.ofMinutes(30), Map.of());
    private static final Limit CHANGES = new Limit.BandChanges(2, Map.of());
    private static final Limit MOVING = new Limit.Moving(2, 1000, Map.of());

    private static Moment at(long id, int minute, Band band, long kiloHertz) {
        return new Moment(id, BEGIN.plusSeconds(60L * minute), band, kiloHertz * 1000);
    }

    @Test
    void aBreakIsNotSpentAndWhatComesAfterTheTimeIsUsedUpBreaksTheLimit() {
        LimitCourse course = new LimitCourse(List.of(TIME), Map.of());
        course.put(at(1, 0, Band.M20, 14_010));
        course.put(at(2, 29, Band.M20, 14_010));
        course.put(at(3, 59, Band.M20, 14_010));
        assertThat(course.left()).as("half an hour was a break").isEqualTo(Duration.ofMinutes(31));
        course.put(at(4, 88, Band.M20, 14_010));
        course.put(at(5, 91, Band.M20, 14_010));
        assertThat(course.breach(4)).isNull();
        assertThat(course.breach(5)).isEqualTo(Breach.OPERATING_TIME);
        assertThat(course.left()).isZero();

        assertThat(course.put(at(6, 31, Band.M20, 14_010)))
                .as("with one contact more there was no break")
                .containsExactly(4L);
        assertThat(course.remove(6)).containsExactly(4L);
        assertThat(course.breach(4)).isNull();
    }

    @Test
    void afterOneBandChangeTooManyNothingCountsUntilTheHourIsOver() {
        LimitCourse course = new LimitCourse(List.of(CHANGES), Map.of());
        course.put(at(1, 50, Band.M20, 14_010));
        course.put(at(2, 51, Band.M40, 7_010));
        course.put(at(3, 52, Band.M20, 14_010));
        course.put(at(4, 53, Band.M40, 7_010));
        course.put(at(5, 54, Band.M40, 7_010));
        course.put(at(6, 60, Band.M40, 7_010));
        assertThat(List.of(2L, 3L, 6L))
                .allSatisfy(id -> assertThat(course.breach(id)).isNull());
        assertThat(List.of(4L, 5L))
                .allSatisfy(id -> assertThat(course.breach(id)).isEqualTo(Breach.BAND_CHANGES));
    }

    @Test
    void aThirdContactInOnePlaceBreaksTheLimitUnlessNobodyKnowsWhereItWas() {
        LimitCourse course = new LimitCourse(List.of(MOVING), Map.of());
        course.put(at(1, 0, Band.M20, 14_010));
        course.put(at(2, 1, Band.M20, 14_010));
        course.put(at(3, 2, Band.M20, 14_010));
        course.put(new Moment(4, BEGIN.plusSeconds(180), Band.M20, null));
        course.put(at(5, 4, Band.M20, 14_011));
        assertThat(course.breach(3)).isEqualTo(Breach.MOVING);
        assertThat(course.breach(4)).isNull();
        assertThat(course.breach(5)).isNull();
    }

    @Test
    void aLimitHoldsForTheCategoriesItNames() {
        Limit single = new Limit.Moving(1, 1000, Map.of("operator", Set.of("SINGLE-OP")));
        for (String operator : List.of("SINGLE-OP", "MULTI-OP")) {
            LimitCourse course = new LimitCourse(List.of(single), Map.of("operator", operator));
            course.put(at(1, 0, Band.M20, 14_010));
            course.put(at(2, 1, Band.M20, 14_010));
            assertThat(course.breach(2)).isEqualTo(operator.equals("SINGLE-OP") ? Breach.MOVING : null);
            assertThat(course.left()).isNull();
        }
    }

    /** One contact for each number: its minute, its band and its place follow from it; a number that comes again is taken out. */
    @Property(tries = 300)
    void inAnyOrderItComesOutAsInTheOrderTheyWereMade(
            @ForAll @Size(max = 60) List<@IntRange(max = 199) Integer> numbers) {
        List<Limit> limits = List.of(TIME, CHANGES, MOVING);
        LimitCourse course = new LimitCourse(limits, Map.of());
        TreeMap<Integer, Moment> there = new TreeMap<>();
        Map<Integer, Breach> told = new HashMap<>();
        for (int number : numbers) {
            List<Long> changed;
            if (there.remove(number) != null) {
                told.remove(number);
                changed = course.remove(number);
            } else {
                Moment made = at(number, number, number % 7 < 4 ? Band.M20 : Band.M40, 14_010 + number / 3 % 2);
                there.put(number, made);
                changed = course.put(made);
                told.put(number, course.breach(number));
            }
            changed.forEach(id -> told.put(id.intValue(), course.breach(id)));
        }
        LimitCourse inOrder = new LimitCourse(limits, Map.of());
        there.values().forEach(inOrder::put);
        there.forEach((number, made) -> assertThat(course.breach(number)).isEqualTo(inOrder.breach(number)));
        assertThat(told).as("what was reported of the others").allSatisfy((number, breach) -> assertThat(breach)
                .isEqualTo(inOrder.breach(number)));
        assertThat(course.left()).isEqualTo(inOrder.left());
    }
}
