package yokebar.core.basics.entity;

import static org.junit.jupiter.api.Assertions.assertAll;
import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.function.Executable;
import yokebar.core.basics.call.Call;
import yokebar.core.platform.data.DataLines;

/** Calls of almost every entity there is, on days of eighty years, against lists of their own. */
class EntityCallsTest {
    private static final int NOWHERE = 9999;
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 23);
    private static final Entities ENTITIES = Entities.shipped();

    private record Expected(int number, Call call, LocalDate day) {}

    private static List<Expected> expected() {
        List<Expected> all = new ArrayList<>();
        for (String file : List.of("calls.txt", "calls-by-series.txt", "calls-by-day.txt")) {
            for (DataLines.Line line : DataLines.beside(EntityCallsTest.class, file)) {
                String[] words = line.words();
                for (int i = 1; i < words.length; i++) {
                    String[] callAndDay = words[i].split("@");
                    LocalDate day = callAndDay.length == 1 ? TODAY : LocalDate.parse(callAndDay[1]);
                    all.add(new Expected(Integer.parseInt(words[0]), new Call(callAndDay[0]), day));
                }
            }
        }
        return all;
    }

    @Test
    void eachCallIsInItsEntity() {
        assertAll(expected().stream().map(one -> (Executable) () -> assertEquals(
                one.number(),
                ENTITIES.of(one.call(), one.day())
                        .map(situation -> situation.entity().number())
                        .orElse(NOWHERE),
                one.call() + " on " + one.day())));
    }

    @Test
    void theListIsLongEnoughToMeanSomething() {
        List<Expected> all = expected();
        Set<Integer> entities = new HashSet<>(all.stream().map(Expected::number).toList());
        assertTrue(all.size() >= 2_500, all.size() + " calls");
        assertTrue(all.stream().filter(one -> one.day().isBefore(TODAY)).count() >= 500, "of other days");
        assertTrue(entities.size() >= 390, entities.size() + " entities");
        assertEquals(all.size(), new HashSet<>(all).size(), "none stands there twice");
    }
}
