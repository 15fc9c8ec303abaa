package yokebar.core.basics.call;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.TreeSet;
import java.util.stream.Stream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.From;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class CallListTest {
    private final CallList calls = new CallList();

    private void add(String... added) {
        for (String call : added) {
            calls.add(call);
        }
    }

    @Test
    void thoseThatEndWithThePartComeFirst() {
        add("QA1QB", "K1QA", "K1QAB", "ZP5QA");
        assertThat(calls.with("QA", 10)).containsExactly("K1QA", "ZP5QA", "K1QAB", "QA1QB");
        assertThat(calls.with("QA", 3)).containsExactly("K1QA", "ZP5QA", "K1QAB");
        assertThat(calls.with("QA", 1)).containsExactly("K1QA");
        assertThat(calls.with("XX", 10)).isEmpty();
    }

    @Test
    void whatIsAddedOrRemovedAfterASearchCounts() {
        add("K1QA");
        assertThat(calls.with("1Q", 10)).containsExactly("K1QA");
        calls.add("K1QB");
        calls.remove("K1QA");
        assertThat(calls.with("1Q", 10)).containsExactly("K1QB");
        calls.clear();
        assertThat(calls.with("1Q", 10)).isEmpty();
    }

    @Provide
    Arbitrary<String> letters() {
        return Arbitraries.strings().withCharRange('A', 'C').ofMinLength(1).ofMaxLength(4);
    }

    @Property(tries = 500)
    void findsWhatGoingThroughAllFinds(
            @ForAll List<@From("letters") String> added,
            @ForAll("letters") String part,
            @ForAll @IntRange(min = 1, max = 6) int max) {
        CallList list = new CallList();
        added.forEach(list::add);
        TreeSet<String> all = new TreeSet<>(added);
        Stream<String> ending = all.stream().filter(call -> call.endsWith(part));
        Stream<String> others = all.stream().filter(call -> call.contains(part) && !call.endsWith(part));
        assertThat(list.with(part, max))
                .isEqualTo(Stream.concat(ending, others).limit(max).toList());
    }
}
