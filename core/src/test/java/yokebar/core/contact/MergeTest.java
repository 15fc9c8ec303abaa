package yokebar.core.contact;

import static org.assertj.core.api.Assertions.assertThat;
import static yokebar.core.contact.Contacts.contact;
import static yokebar.core.contact.Contacts.logged;

import java.util.Map;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import yokebar.core.mode.Mode;

class MergeTest {

    @Test
    void theSameAgainChangesNothing() {
        LoggedContact log = logged(1, Source.PROGRAM, "NAME", "Ana");
        Merge.Result result = Merge.merge(log, contact("NAME", "Ana", "TIME_ON", "140701"), Source.PROGRAM);
        assertThat(result.changed()).isEmpty();
        assertThat(result.contact()).isEqualTo(log.contact());
    }

    @Test
    void blanksAreFilled() {
        LoggedContact log = logged(1, Source.PROGRAM, "TIME_ON", "1407", "MODE", "SSB");
        Contact more = contact(
                "MODE",
                "USB",
                "FREQ",
                "14.25",
                "TIME_ON",
                "140730",
                "TIME_OFF",
                "141000",
                "NAME",
                "Ana",
                "PROP_MODE",
                "F2");
        Merge.Result result = Merge.merge(log, more, Source.FILE);
        assertThat(result.changed())
                .containsExactlyInAnyOrder("TIME_ON", "TIME_OFF", "FREQ", "SUBMODE", "NAME", "PROP_MODE");
        assertThat(result.contact()).isEqualTo(more);
        assertThat(result.contact().mode()).isEqualTo(new Mode("SSB", "USB"));
        assertThat(result.provenance().of("NAME")).isEqualTo(Source.FILE);
        assertThat(result.provenance().of("CALL")).isEqualTo(Source.PROGRAM);
    }

    @Test
    void theMoreTrustedSourceWinsAConflict() {
        LoggedContact log = logged(1, Source.FILE, "NAME", "Anna", "QTH", "Asuncion");
        Merge.Result edited = Merge.merge(log, contact("NAME", "Ana"), Source.OPERATOR);
        assertThat(edited.contact().detail("NAME")).isEqualTo("Ana");

        LoggedContact afterEdit = new LoggedContact(1, edited.contact(), edited.provenance());
        Merge.Result program = Merge.merge(afterEdit, contact("NAME", "Anja", "QTH", "Luque"), Source.PROGRAM);
        assertThat(program.contact().detail("NAME")).isEqualTo("Ana");
        assertThat(program.contact().detail("QTH")).isEqualTo("Luque");
        assertThat(program.kept()).containsExactly(new Merge.Difference("NAME", "Ana", "Anja"));
    }

    @Property
    void mergingTwiceIsMergingOnce(
            @ForAll("details") Map<String, String> a, @ForAll("details") Map<String, String> b, @ForAll Source source) {
        LoggedContact log = new LoggedContact(1, of(a), Provenance.of(Source.PROGRAM));
        Merge.Result once = Merge.merge(log, of(b), source);
        Merge.Result twice = Merge.merge(new LoggedContact(1, once.contact(), once.provenance()), of(b), source);
        assertThat(twice.changed()).isEmpty();
        assertThat(twice.contact()).isEqualTo(once.contact());
    }

    @Property
    void nothingIsLostByMerging(
            @ForAll("details") Map<String, String> a, @ForAll("details") Map<String, String> b, @ForAll Source source) {
        Merge.Result merged = Merge.merge(new LoggedContact(1, of(a), Provenance.of(Source.PROGRAM)), of(b), source);
        a.keySet().forEach(name -> assertThat(merged.contact().detail(name)).isIn(a.get(name), b.get(name)));
        b.keySet().forEach(name -> assertThat(merged.contact().detail(name)).isIn(a.get(name), b.get(name)));
    }

    @Property
    void provenanceSurvivesStorage(
            @ForAll Source main, @ForAll("details") Map<String, String> names, @ForAll Source other) {
        Provenance provenance = Provenance.of(main).with(names.keySet(), other);
        assertThat(Provenance.parse(provenance.text())).isEqualTo(provenance);
    }

    private static Contact of(Map<String, String> details) {
        return contact(details.entrySet().stream()
                .flatMap(e -> java.util.stream.Stream.of(e.getKey(), e.getValue()))
                .toArray(String[]::new));
    }

    @Provide
    Arbitrary<Map<String, String>> details() {
        return Arbitraries.maps(
                Arbitraries.of("NAME", "QTH", "RST_SENT", "COMMENT", "GRIDSQUARE"), Arbitraries.of("a", "b", "c"));
    }
}
