package yokebar.core.operate.onair;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.entity.Entities;
import yokebar.core.basics.geo.Locator;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.log.tally.ContactCredits;
import yokebar.core.log.tally.ContactOrigin;
import yokebar.core.log.tally.CreditKind;
import yokebar.core.log.tally.Proofs;
import yokebar.core.log.tally.Scope;
import yokebar.core.log.tally.WorkedBefore;
import yokebar.core.operate.need.Goal;
import yokebar.core.operate.need.Want;
import yokebar.core.sources.spot.Heard;

class AppraiserTest {
    private static final Instant NOON = Instant.parse("2026-05-01T14:00:00Z");
    private static final Duration HOUR = Duration.ofHours(1);
    private static final Mode CW = new Mode("CW", null);
    private static final Goal NEW_ONES =
            Goal.ofWholeLog(CreditKind.ENTITY, Goal.Granularity.BAND, Goal.Bar.WORKED, Proofs.NONE);
    private static final Goal PROVEN =
            Goal.ofWholeLog(CreditKind.ENTITY, Goal.Granularity.EVER, Goal.Bar.CONFIRMED, Proofs.NONE);

    private final WorkedBefore before = new WorkedBefore();
    private final Atlas atlas =
            new Atlas(Entities.shipped(), new Locator("HM49kq").centre(), LocalDate.parse("2026-05-01"));
    private ContactOrigin origin = new ContactOrigin("CU9QYB", "HM49KQ", LocalDate.parse("2026-05-01"));
    private List<Goal> goals = List.of(NEW_ONES);
    private List<String> watch = List.of();
    private List<String> ignore = List.of();

    private Audible look(Heard heard) {
        OperatorGoals operatorGoals = new OperatorGoals(
                origin,
                goals,
                CallPatterns.of(watch),
                CallPatterns.of(ignore),
                hz -> hz < 14_100_000,
                call -> call.text().startsWith("OZ") ? LocalDate.parse("2026-04-20") : null);
        return new Appraiser(before, atlas, operatorGoals, HOUR).of(heard, NOON);
    }

    private static Heard heard(String call, long hertz, String... hearers) {
        List<Heard.Hearer> all = new ArrayList<>();
        for (String hearer : hearers) {
            all.add(new Heard.Hearer(new Call(hearer), Heard.Ear.SKIMMER, 20, NOON));
        }
        return new Heard(1, 1, new Call(call), hertz, CW, all, NOON, NOON, "", false, null);
    }

    private void work(String call, int entity, Band band, Proofs proofs) {
        before.add(List.of(new ContactCredits(
                List.of(
                        CreditKind.CALL.key(call),
                        CreditKind.BASE_CALL.key(call),
                        CreditKind.ENTITY.key(Integer.toString(entity))),
                band,
                ModeGroup.CW,
                proofs,
                origin)));
    }

    @Test
    void aGoalOfOneOwnCallIsFollowedUnderThatCallOnly() {
        Scope festival = Scope.of(Set.of("CU9QLZ"), null);
        goals = List.of(new Goal(CreditKind.ENTITY, Goal.Granularity.EVER, Goal.Bar.WORKED, Proofs.NONE, festival));
        before.count(before.countOnly(Map.of(festival, Set.of(CreditKind.ENTITY))));
        work("ZP5QXA", 132, Band.M20, Proofs.NONE);
        Heard zp = heard("ZP5QXB", 14_025_000, "CT1QAA");
        assertThat(look(zp).wants()).as("what CU9QYB works counts for nothing").isEmpty();
        origin = new ContactOrigin("CU9QLZ", "HM49KQ", origin.day());
        assertThat(look(zp).wants()).extracting(Want::level).containsExactly(Goal.Level.SCOPE);
        assertThat(look(zp).why()).startsWith("Paraguay, not yet with CU9QLZ");
        work("ZP5QXC", 132, Band.M20, Proofs.NONE);
        assertThat(look(zp).wants()).isEmpty();
    }

    @Test
    void saysWhyInWords() {
        Audible audible = look(heard("OZ1QAB", 14_025_000, "CT1QAA", "EA1QAA", "F4QAA"));
        assertThat(audible.why())
                .startsWith("New entity, Denmark, confirms electronically, heard by 3 in Europe, the nearest 2000 km")
                .contains(" from us, beam ")
                .endsWith("°");
        assertThat(audible.wants()).hasSize(1);
        assertThat(audible.where().path().distanceKm()).isBetween(3_400.0, 3_550.0);
    }

    @Test
    void aNewOneIsWorthMoreThanANewBandThanAMissingProofThanNothing() {
        goals = List.of(NEW_ONES, PROVEN);
        work("OZ2QBB", 221, Band.M40, Proofs.NONE);
        work("DL1QAA", 230, Band.M20, Proofs.NONE);
        work("F4QAA", 227, Band.M20, Proofs.by(1));
        double newOne = look(heard("ZP5QXA", 14_025_000, "CT1QAA")).score();
        double newBand = look(heard("OZ1QAB", 14_025_000, "CT1QAA")).score();
        double noProof = look(heard("DL2QAB", 14_025_000, "CT1QAA")).score();
        double nothing = look(heard("F5QAB", 14_025_000, "CT1QAA")).score();
        assertThat(List.of(newOne, newBand, noProof, nothing))
                .isSortedAccordingTo((a, b) -> Double.compare(b, a))
                .doesNotHaveDuplicates();
    }

    @Test
    void whoIsInTheLogForThisNeedNotBeCalledAgain() {
        goals = List.of(PROVEN);
        work("DL1QAA", 230, Band.M20, Proofs.NONE);
        assertThat(look(heard("DL1QAA", 14_025_000, "CT1QAA")).wants()).isEmpty();
        assertThat(look(heard("DL1QAA", 14_025_000, "CT1QAA")).workedHere()).isTrue();
        assertThat(look(heard("DL1QAA", 7_025_000, "CT1QAA")).wants()).hasSize(1);
        assertThat(look(heard("DL2QBB", 14_025_000, "CT1QAA")).wants()).hasSize(1);
    }

    @Test
    void whereAStationLivesCountsUntilItSaysWhereItIs() {
        Atlas homes = new Atlas(
                Entities.shipped(),
                new Locator("HM49kq").centre(),
                LocalDate.parse("2026-05-01"),
                call -> call.text().equals("K1QAB") ? new Home("MA", new Locator("FN42")) : Home.UNKNOWN);
        List<Goal> byState = List.of(
                Goal.ofWholeLog(CreditKind.STATE, Goal.Granularity.EVER, Goal.Bar.WORKED, Proofs.NONE),
                Goal.ofWholeLog(CreditKind.SQUARE, Goal.Granularity.EVER, Goal.Bar.WORKED, Proofs.NONE));
        Appraiser appraiser = new Appraiser(
                before,
                homes,
                new OperatorGoals(origin, byState, CallPatterns.NONE, CallPatterns.NONE, hz -> true, call -> null),
                HOUR);
        assertThat(appraiser.of(heard("K1QAB", 14_025_000, "CT1QAA"), NOON).why())
                .contains("state MA")
                .contains("square FN42");
        assertThat(appraiser.of(heard("K2QAB", 14_025_000, "CT1QAA"), NOON).wants())
                .isEmpty();
        homes.reported(new Call("K1QAB"), new Locator("FM18lv"));
        assertThat(appraiser.of(heard("K1QAB", 14_025_000, "CT1QAA"), NOON).why())
                .contains("square FM18");
        before.add(List.of(new ContactCredits(
                List.of(CreditKind.CALL.key("K1QAC"), CreditKind.STATE.key("291/MA")),
                Band.M40,
                ModeGroup.CW,
                Proofs.NONE,
                origin)));
        assertThat(appraiser.of(heard("K1QAB", 14_025_000, "CT1QAA"), NOON).why())
                .doesNotContain("state MA");
    }

    @Test
    void whatACallbookTellsLaterCountsBelowWhatTheStationSaysItself() {
        Call call = new Call("K1QAB");
        Home home = new Home("MA", new Locator("FN42"));
        assertThat(atlas.learnt(call, home)).as("nobody hears it").isFalse();
        look(heard("K1QAB", 14_025_000, "CT1QAA"));
        assertThat(atlas.learnt(call, home)).isTrue();
        assertThat(atlas.learnt(call, home)).as("known already").isFalse();
        assertThat(atlas.state(call)).isEqualTo("MA");
        assertThat(atlas.square(call)).isEqualTo("FN42");
        assertThat(atlas.of(call).point()).isEqualTo(new Locator("FN42").centre());
        atlas.reported(call, new Locator("FM18lv"));
        assertThat(atlas.learnt(call, new Home(null, new Locator("FN31")))).isFalse();
        assertThat(atlas.square(call)).isEqualTo("FM18");
    }

    @Test
    void whatWasLoggedJustNowIsNoLongerNeeded() {
        Appraiser appraiser = new Appraiser(
                before,
                atlas,
                new OperatorGoals(origin, goals, CallPatterns.NONE, CallPatterns.NONE, hz -> true, call -> null),
                HOUR);
        Heard zp = heard("ZP5QXA", 14_025_000, "CT1QAA");
        assertThat(appraiser.of(zp, NOON).wants()).hasSize(1);
        work("ZP5QXA", 132, Band.M20, Proofs.NONE);
        assertThat(appraiser.of(zp, NOON).wants()).isEmpty();
    }

    @Test
    void whoHearsItNearUsMakesItLikely() {
        double near =
                look(heard("ZL2QAA", 14_025_000, "CU3QAA", "CT1QAA")).hearing().likelihood();
        double far =
                look(heard("ZL2QAA", 14_025_000, "JA1QAA", "VK2QAA")).hearing().likelihood();
        assertThat(near).isGreaterThan(0.7);
        assertThat(far).isLessThan(0.5);
        Heard decoded = new Heard(
                1,
                1,
                new Call("ZL2QAA"),
                14_075_000,
                CW,
                List.of(new Heard.Hearer(new Call("CU9QYB"), Heard.Ear.DECODER, -12, NOON)),
                NOON,
                NOON,
                "",
                true,
                null);
        assertThat(look(decoded).hearing()).isEqualTo(new Hearing(1, "decoded here"));
    }

    @Test
    void lowBandsCarryInTheDarkAndHighOnesInTheLight() {
        Instant midnight = Instant.parse("2026-12-21T01:00:00Z");
        var here = new Locator("HM49kq").centre();
        var boston = new Locator("FN42").centre();
        assertThat(Opening.of(Band.M80, here, boston, 3_700, midnight))
                .isGreaterThan(Opening.of(Band.M80, here, boston, 3_700, NOON));
        assertThat(Opening.of(Band.M10, here, boston, 3_700, NOON))
                .isGreaterThan(Opening.of(Band.M10, here, boston, 3_700, midnight));
        assertThat(Opening.of(Band.M2, here, boston, 3_700, NOON)).isLessThan(0.05);
        assertThat(Opening.of(Band.M2, here, boston, 120, NOON)).isGreaterThan(0.1);
    }

    @Test
    void watchedStandsAboveAllAndIgnoredIsNotThere() {
        work("F4QAA", 227, Band.M20, Proofs.by(1));
        watch = List.of("F5*");
        ignore = List.of("ZP5QXA");
        assertThat(look(heard("F5QAB", 14_025_000, "VK2QAA")).score())
                .as("however unlikely it is heard")
                .isGreaterThan(look(heard("OZ1QAB", 14_025_000, "CT1QAA")).score());
        assertThat(look(heard("ZP5QXA", 14_025_000, "CT1QAA"))).isNull();
        assertThat(look(heard("OZ1QAB", 13_025_000, "CT1QAA"))).as("on no band").isNull();
    }

    @Test
    void aDoubtedCallAndOneOutsideTheLicenceSink() {
        Heard sure = heard("OZ1QAB", 14_025_000, "CT1QAA");
        Heard doubted = new Heard(
                1, 1, sure.call(), sure.frequencyHz(), CW, sure.hearers(), NOON, NOON, "", false, new Call("OZ1QAC"));
        assertThat(look(doubted).score()).isLessThan(look(sure).score() / 4);
        assertThat(look(doubted).why()).startsWith("Most likely OZ1QAC, misread by one receiver");
        Audible outside = look(heard("OZ1QAB", 14_125_000, "CT1QAA"));
        assertThat(outside.insideLicence()).isFalse();
        assertThat(outside.score()).isLessThan(look(sure).score());
    }

    @Test
    void aSquareThatWasToldCounts() {
        goals = List.of(Goal.ofWholeLog(CreditKind.SQUARE, Goal.Granularity.EVER, Goal.Bar.WORKED, Proofs.NONE));
        assertThat(look(heard("OZ1QAB", 14_025_000, "CT1QAA")).wants()).isEmpty();
        atlas.reported(new Call("OZ1QAB"), new Locator("JO65cr"));
        assertThat(look(heard("OZ1QAB", 14_025_000, "CT1QAA")).why()).startsWith("New square JO65");
    }
}
