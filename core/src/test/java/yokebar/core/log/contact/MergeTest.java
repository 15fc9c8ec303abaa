package yokebar.core.log.contact;

import static org.assertj.core.api.Assertions.assertThat;
import static yokebar.core.log.contact.Contacts.contact;
import static yokebar.core.log.contact.Contacts.logged;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import org.junit.jupiter.api.Test;
import yokebar.core.basics.mode.Mode;

class MergeTest {

    @Test
    void theSameAgainChangesNothing() {
        LoggedContact log = logged(1, Source.DATAGRAM, "NAME", "Ana");
        Merge.Result result = Merge.merge(log, contact("NAME", "Ana", "TIME_ON", "140701"), Source.DATAGRAM);
        assertThat(result.changed()).isEmpty();
        assertThat(result.contact()).isEqualTo(log.contact());
    }

    @Test
    void blanksAreFilled() {
        LoggedContact log = logged(1, Source.DATAGRAM, "TIME_ON", "1407", "MODE", "SSB");
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
        assertThat(result.provenance().of("CALL")).isEqualTo(Source.DATAGRAM);
    }

    @Test
    void theMoreTrustedSourceWinsAConflict() {
        LoggedContact log = logged(1, Source.FILE, "NAME", "Anna", "QTH", "Asuncion");
        Merge.Result edited = Merge.merge(log, contact("NAME", "Ana"), Source.OPERATOR);
        assertThat(edited.contact().detail("NAME")).isEqualTo("Ana");

        LoggedContact afterEdit = new LoggedContact(1, edited.contact(), edited.provenance());
        Merge.Result program = Merge.merge(afterEdit, contact("NAME", "Anja", "QTH", "Luque"), Source.DATAGRAM);
        assertThat(program.contact().detail("NAME")).isEqualTo("Ana");
        assertThat(program.contact().detail("QTH")).isEqualTo("Luque");
        assertThat(program.kept()).containsExactly(new Merge.Difference("NAME", "Ana", "Anja"));
    }

    @Test
    void aProgramCorrectsItsOwnRecordButDoesNotTakeBackWhatItSaidMoreFully() {
        LoggedContact log = logged(1, Source.DATAGRAM, "GRIDSQUARE", "GG14aa", "COMMENT", "old beam");
        Merge.Result later = Merge.merge(log, contact("GRIDSQUARE", "GG14", "COMMENT", "new beam"), Source.DATAGRAM);
        assertThat(later.contact().detail("GRIDSQUARE")).isEqualTo("GG14aa");
        assertThat(later.contact().detail("COMMENT")).isEqualTo("new beam");
        assertThat(later.corrected()).containsExactly("COMMENT");
    }

    @Test
    void anOtherFileOnlyAddsToWhatAnotherFileSaid() {
        LoggedContact log = logged(1, Source.FILE, "GRIDSQUARE", "GG14", "NAME", "Ana");
        Merge.Result later = Merge.merge(log, contact("GRIDSQUARE", "GG14aa", "NAME", "Anja"), Source.FILE);
        assertThat(later.contact().detail("GRIDSQUARE")).isEqualTo("GG14aa");
        assertThat(later.contact().detail("NAME")).isEqualTo("Ana");
    }

    @Test
    void theFinerLocatorOfASquareWinsWhoeverGivesIt() {
        LoggedContact log = logged(1, Source.OPERATOR, "GRIDSQUARE", "GG14");
        Merge.Result finer = Merge.merge(log, contact("GRIDSQUARE", "GG14aa"), Source.FILE);
        assertThat(finer.contact().detail("GRIDSQUARE")).isEqualTo("GG14aa");
        assertThat(finer.changed()).containsExactly("GRIDSQUARE");
        assertThat(finer.provenance().of("GRIDSQUARE"))
                .as("a program cannot move the square")
                .isEqualTo(Source.OPERATOR);
        Merge.Result coarser = Merge.merge(
                logged(1, Source.FILE, "GRIDSQUARE", "GG14aa"), contact("GRIDSQUARE", "GG14"), Source.OPERATOR);
        assertThat(coarser.contact().detail("GRIDSQUARE")).isEqualTo("GG14aa");
        assertThat(coarser.changed()).isEmpty();
        Merge.Result other = Merge.merge(log, contact("GRIDSQUARE", "GG15aa"), Source.FILE);
        assertThat(other.contact().detail("GRIDSQUARE")).isEqualTo("GG14");
    }

    @Test
    void whatABetterSourceSaidTooIsNoLongerChangedByAWorseOne() {
        LoggedContact log = logged(1, Source.FILE, "NAME", "Ana");
        Merge.Result same = Merge.merge(log, contact("NAME", "Ana"), Source.LINK);
        assertThat(same.changed()).isEmpty();
        assertThat(same.restated()).contains("NAME");
        LoggedContact after = new LoggedContact(1, same.contact(), same.provenance());
        assertThat(Merge.merge(after, contact("NAME", "Anna"), Source.FOLLOWED)
                        .contact()
                        .detail("NAME"))
                .isEqualTo("Ana");
    }

    /** Six paths bring one contact, each its own idea of it: the log says the same whichever came first. */
    @Property(tries = 300)
    void theOrderOfArrivalDoesNotMatter(@ForAll("paths") List<Arrival> arrivals, @ForAll java.util.Random random) {
        List<Arrival> otherOrder = new ArrayList<>(arrivals);
        Collections.shuffle(otherOrder, random);
        LoggedContact one = allMerged(arrivals);
        LoggedContact other = allMerged(otherOrder);
        assertThat(other.contact()).isEqualTo(one.contact());
        for (String name : ContactAdif.write(one.contact()).names()) {
            if (!IDENTITY.contains(name)) {
                assertThat(other.provenance().of(name))
                        .as(name)
                        .isEqualTo(one.provenance().of(name));
            }
        }
    }

    /** A record and the path it came by. */
    record Arrival(Source source, Contact contact) {}

    /** These are the same in every record or follow from others. */
    private static final Set<String> IDENTITY =
            Set.of("CALL", "STATION_CALLSIGN", "BAND", "MODE", "SUBMODE", "QSO_DATE", "QSO_DATE_OFF");

    private static LoggedContact allMerged(List<Arrival> arrivals) {
        List<LoggedContact> log = new ArrayList<>();
        for (Arrival next : arrivals) {
            LoggedContact match = log.stream()
                    .filter(known -> SameContact.same(next.contact(), known.contact(), SameContact.Paths.DIFFERENT))
                    .findFirst()
                    .orElse(null);
            if (match == null) {
                log.add(new LoggedContact(1, next.contact(), Provenance.of(next.source())));
            } else {
                Merge.Result merged = Merge.merge(match, next.contact(), next.source());
                log.set(0, new LoggedContact(1, merged.contact(), merged.provenance()));
            }
        }
        assertThat(log).hasSize(1);
        return log.get(0);
    }

    @Provide
    Arbitrary<List<Arrival>> paths() {
        Arbitrary<String> time = Arbitraries.of("140700", "140715", "140830", "140959", "1407", "1409");
        Arbitrary<String> mode = Arbitraries.of("SSB", "USB");
        Arbitrary<String> end = Arbitraries.of("", "141000", "141100");
        Arbitrary<String> frequency = Arbitraries.of("", "14.25", "14.2501");
        Arbitrary<Contact> contact = Combinators.combine(time, mode, end, frequency, details())
                .as((t, m, e, f, d) -> contact(Stream.concat(
                                Stream.of("TIME_ON", t, "MODE", m, "TIME_OFF", e, "FREQ", f),
                                d.entrySet().stream().flatMap(x -> Stream.of(x.getKey(), x.getValue())))
                        .toArray(String[]::new)));
        return contact.list().ofSize(Source.values().length).map(contacts -> IntStream.range(0, contacts.size())
                .mapToObj(i -> new Arrival(Source.values()[i], contacts.get(i)))
                .toList());
    }

    @Property
    void mergingTwiceIsMergingOnce(
            @ForAll("details") Map<String, String> a, @ForAll("details") Map<String, String> b, @ForAll Source source) {
        LoggedContact log = new LoggedContact(1, of(a), Provenance.of(Source.DATAGRAM));
        Merge.Result once = Merge.merge(log, of(b), source);
        Merge.Result twice = Merge.merge(new LoggedContact(1, once.contact(), once.provenance()), of(b), source);
        assertThat(twice.changed()).isEmpty();
        assertThat(twice.contact()).isEqualTo(once.contact());
    }

    @Property
    void nothingIsLostByMerging(
            @ForAll("details") Map<String, String> a, @ForAll("details") Map<String, String> b, @ForAll Source source) {
        Merge.Result merged = Merge.merge(new LoggedContact(1, of(a), Provenance.of(Source.DATAGRAM)), of(b), source);
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
