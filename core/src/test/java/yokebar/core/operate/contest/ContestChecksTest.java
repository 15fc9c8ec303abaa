package yokebar.core.operate.contest;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.station.KnownStations;
import yokebar.core.basics.station.StationList;

class ContestChecksTest {
    private static final ContestDefinition RULES = Objects.requireNonNull(DefinitionReader.read(
                    """
                    name: Harbour Hours
                    cabrillo name: HARBOUR-HOURS
                    periods:
                      - {from: 2027-01-02T12:00Z, until: 2027-01-02T18:00Z}
                    bands: [40m, 20m]
                    modes: [CW, phone]
                    exchange:
                      - {name: report, kind: report}
                      - {name: serial, kind: serial}
                      - {name: zone, kind: cq zone}
                    work again: {each: [band]}
                    points:
                      - {points: 1}
                    """)
            .definition());

    private final List<ContestChecks.Checked> contacts = new ArrayList<>();
    private final Set<String> workedElsewhere = new HashSet<>();
    private KnownStations known = KnownStations.NONE;

    /** A minute after the one before. */
    private ContestChecksTest worked(String call, @Nullable String serial, @Nullable String zone, String sent) {
        return worked(Outcome.COUNTS, call, serial, zone, sent);
    }

    private ContestChecksTest worked(
            Outcome outcome, String call, @Nullable String serial, @Nullable String zone, String sent) {
        Map<Fact, String> facts = new HashMap<>();
        if (serial != null) {
            facts.put(Fact.exchange("serial"), serial);
        }
        if (zone != null) {
            facts.put(Fact.exchange("zone"), zone);
        }
        long id = contacts.size() + 1;
        Instant at = Instant.parse("2027-01-02T12:00:00Z").plusSeconds(60 * id);
        contacts.add(new ContestChecks.Checked(
                new ContestContact(id, at, new Call(call), Band.M20, null, ContestMode.CW, facts), outcome, sent));
        return this;
    }

    private List<Finding> of(ContestDefinition definition, List<ContestChecks.Checked> made) {
        return ContestChecks.of(definition, made, known, workedElsewhere::contains);
    }

    private List<String> found(Finding.Kind... kinds) {
        return of(RULES, contacts).stream()
                .filter(finding -> kinds.length == 0 || Arrays.asList(kinds).contains(finding.kind()))
                .map(finding -> finding.contactId() + " " + finding.sentence())
                .toList();
    }

    @Test
    void aCleanLogHasNoFindings() {
        worked("DL1QAA", "1", "14", "1").worked("W1QAB", "7", "5", "2").worked("DL1QAA", "9", "14", "3");
        assertThat(found()).isEmpty();
    }

    @Test
    void aCallWorkedOnceBesideOneWorkedOften() {
        worked("DL1QAA", "1", "14", "1").worked("DL1QAA", "2", "14", "2").worked("DL1QAB", "3", "14", "3");
        worked("W1QAB", "3", "5", "4");
        assertThat(found()).containsExactly("3 DL1QAB was worked only here, and DL1QAA 2 times.");
        assertThat(of(RULES, contacts).get(0).likelyCall()).isEqualTo("DL1QAA");
    }

    @Test
    void twoCallsWorkedOnceEachAreLeftAlone() {
        worked("DL1QAA", "1", "14", "1").worked("DL1QAB", "3", "14", "2");
        assertThat(found()).isEmpty();
    }

    @Test
    void whatAStationSentOtherwiseBefore() {
        worked("DL1QAA", "1", "14", "1").worked("DL1QAA", "2", "15", "2");
        assertThat(found()).containsExactly("2 DL1QAA sent zone 15 here, and 14 at 12:01.");
        worked("DL1QAA", "3", "15", "3");
        assertThat(found()).containsExactly("1 DL1QAA sent zone 14 here, and 15 in 2 other contacts.");
    }

    @Test
    void whatMayChangeFromContactToContactIsNoFinding() {
        ContestDefinition party = Objects.requireNonNull(DefinitionReader.read(
                        Objects.requireNonNull(ShippedDefinitions.texts().get("nine-islands-party")))
                .definition());
        String moving = party.repeats().each().stream()
                .map(Fact::name)
                .filter(name -> name.startsWith("exchange."))
                .findFirst()
                .orElseThrow();
        List<ContestChecks.Checked> made = new ArrayList<>();
        for (String value : List.of("FLO", "COR")) {
            made.add(new ContestChecks.Checked(
                    new ContestContact(
                            made.size() + 1L,
                            party.from().plusSeconds(60L * made.size()),
                            new Call("CU7QAA"),
                            Band.M40,
                            null,
                            ContestMode.CW,
                            Map.of(new Fact(moving), value)),
                    Outcome.COUNTS,
                    null));
        }
        assertThat(of(party, made)).extracting(Finding::kind).doesNotContain(Finding.Kind.EXCHANGE);
    }

    @Test
    void serialsThatGoBackOrWereGivenTwice() {
        worked("DL1QAA", "12", "14", "1").worked("W1QAB", "7", "5", "1").worked("DL1QAA", "9", "14", "3");
        assertThat(found())
                .containsExactly(
                        "2 You sent serial 1 here, and to DL1QAA at 12:01.",
                        "3 DL1QAA sent serial 9 here, and 12 before, at 12:01.");
    }

    @Test
    void whatWasNotReceived() {
        worked("DL1QAA", "12", null, "1");
        assertThat(found()).containsExactly("1 The zone of DL1QAA was not received.");
    }

    @Test
    void whatIsOutsideTheContestAndNotWhatIsNoPartOfIt() {
        worked(Outcome.OUTSIDE_PERIODS, "DL1QAA", "12", "14", "1");
        worked(Outcome.OTHER_BAND, "DL2QAA", "12", "14", "2");
        worked(Outcome.OTHER_MODE, "DL3QAC", "12", "14", "3");
        worked(Outcome.NO_EXCHANGE, "W1QAB", null, null, "");
        worked(Outcome.NOT_COUNTED, "W1QAC", "3", "5", "4");
        assertThat(found(Finding.Kind.OUTSIDE))
                .containsExactly(
                        "1 It was made at 12:01, outside the times of the contest.",
                        "2 20m is no band of the contest.",
                        "3 CW is no mode of the contest.");
        assertThat(found()).hasSize(3);
    }

    private void listed(String... lines) {
        known = new KnownStations(
                List.of(StationList.read("edition | 2026-11-20\nfields | CQZ\n" + String.join("\n", lines))));
    }

    @Test
    void aCallThatNobodyKnowsBesideOneThatIsListed() {
        listed("DL1QAA | 14", "W1QAB | 5", "K4QOX | 5");
        worked("DL1QAB", "3", "14", "1").worked("W1QAC", "3", "5", "2").worked("OH2QZZ", "4", "15", "3");
        workedElsewhere.add("W1QAC");
        assertThat(found(Finding.Kind.CALL))
                .containsExactly("1 DL1QAB was worked only here and is in no list of stations; DL1QAA is.");
        assertThat(of(RULES, contacts).get(0).likelyCall()).isEqualTo("DL1QAA");
    }

    @Test
    void aListedCallThatWouldSendSomethingElseIsNotMeant() {
        listed("K4QOX | 5", "K4QOV | 4");
        worked("K4QOW", "3", "04", "1");
        worked("K4QOZ", "3", "3", "2");
        assertThat(found(Finding.Kind.CALL)).isEmpty();
        contacts.clear();
        worked("K4QOW", "3", "4", "1");
        assertThat(of(RULES, contacts).get(0).likelyCall()).isEqualTo("K4QOV");
    }

    @Test
    void aCallThatIsListedIsRightThoughAnotherWasWorkedOften() {
        worked("DL1QAA", "1", "14", "1").worked("DL1QAA", "2", "14", "2").worked("DL1QAB", "3", "14", "3");
        assertThat(found(Finding.Kind.CALL)).hasSize(1);
        listed("DL1QAB | 14");
        assertThat(found(Finding.Kind.CALL)).isEmpty();
    }

    @Test
    void anExchangeUnlikeTheListsUnlessItWasReceivedTwice() {
        listed("DL1QAA | 14", "DL2QAA | 14", "DL3QAA | 014");
        worked("DL1QAA", "1", "15", "1");
        worked("DL2QAA", "1", "15", "2").worked("DL2QAA", "4", "15", "3").worked("DL3QAA", "5", "14", "4");
        assertThat(found(Finding.Kind.EXCHANGE))
                .containsExactly("1 DL1QAA sent zone 15 here, and 14 by the lists of stations.");
    }

    @Test
    void lastYearsSerialSaysNothing() {
        known = new KnownStations(List.of(StationList.read(
                "edition | 2026-11-20\ncontest | HARBOUR-HOURS | serial | zone\nDL1QAA | 412 | 14\nDL2QAA | 7 | 14")));
        worked("DL1QAA", "1", "14", "1").worked("DL2QAB", "2", "14", "2");
        assertThat(found()).containsExactly("2 DL2QAB was worked only here and is in no list of stations; DL2QAA is.");
    }
}
