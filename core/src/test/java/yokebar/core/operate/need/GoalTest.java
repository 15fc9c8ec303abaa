package yokebar.core.operate.need;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.log.tally.ContactCredits;
import yokebar.core.log.tally.ContactOrigin;
import yokebar.core.log.tally.CreditKind;
import yokebar.core.log.tally.Proofs;
import yokebar.core.log.tally.References;
import yokebar.core.log.tally.Worked;
import yokebar.core.log.tally.WorkedBefore;

class GoalTest {
    private static final Proofs COUNTERSIGN = Proofs.by(1);
    private static final Proofs PAPER = Proofs.by(70);

    private static Worked worked(Object... cells) {
        WorkedBefore before = new WorkedBefore();
        for (int i = 0; i < cells.length; i += 3) {
            before.add(List.of(new ContactCredits(
                    List.of(CreditKind.CALL.key("CU1QAA"), CreditKind.ENTITY.key("149")),
                    (Band) cells[i],
                    (ModeGroup) cells[i + 1],
                    (Proofs) cells[i + 2],
                    ContactOrigin.UNKNOWN)));
        }
        return before.of(CreditKind.ENTITY.key("149"));
    }

    @ParameterizedTest(name = "{0} {1}: {2}")
    @CsvSource({
        "EVER, WORKED, ",
        "BAND, WORKED, BAND",
        "MODE, WORKED, MODE",
        "BAND_AND_MODE, WORKED, BAND",
        "EVER, CONFIRMED, PROOF",
        "BAND, CONFIRMED, BAND",
        "MODE, CONFIRMED, MODE",
    })
    void whatIsWorkedOn40InCwOnlyIsNewOn20InPhone(Goal.Granularity granularity, Goal.Bar bar, Goal.Level level) {
        Goal goal = Goal.ofWholeLog(CreditKind.ENTITY, granularity, bar, Proofs.NONE);
        assertThat(goal.level(worked(Band.M40, ModeGroup.CW, Proofs.NONE), Band.M20, ModeGroup.PHONE))
                .isEqualTo(level);
        assertThat(goal.level(Worked.NOTHING, Band.M20, ModeGroup.PHONE)).isEqualTo(Goal.Level.EVER);
    }

    @Test
    void onTheBandAndInTheModeIsNotBothAtOnce() {
        Worked apart = worked(Band.M20, ModeGroup.CW, Proofs.NONE, Band.M40, ModeGroup.PHONE, Proofs.NONE);
        Goal both = Goal.ofWholeLog(CreditKind.ENTITY, Goal.Granularity.BAND_AND_MODE, Goal.Bar.WORKED, Proofs.NONE);
        assertThat(both.level(apart, Band.M20, ModeGroup.PHONE)).isEqualTo(Goal.Level.BAND_AND_MODE);
        assertThat(both.level(apart, Band.M20, ModeGroup.CW)).isNull();
        assertThat(both.level(apart, Band.M20, null))
                .as("nobody can tell the mode")
                .isNull();
    }

    @Test
    void onlyTheProofsThatCountCount() {
        Worked paper = worked(Band.M20, ModeGroup.CW, PAPER, Band.M20, ModeGroup.CW, Proofs.NONE);
        Goal anybody = Goal.ofWholeLog(CreditKind.ENTITY, Goal.Granularity.BAND, Goal.Bar.CONFIRMED, Proofs.NONE);
        Goal countersign = Goal.ofWholeLog(CreditKind.ENTITY, Goal.Granularity.BAND, Goal.Bar.CONFIRMED, COUNTERSIGN);
        assertThat(anybody.level(paper, Band.M20, ModeGroup.CW)).isNull();
        assertThat(countersign.level(paper, Band.M20, ModeGroup.CW)).isEqualTo(Goal.Level.PROOF);
        assertThat(countersign.level(worked(Band.M20, ModeGroup.CW, PAPER.and(COUNTERSIGN)), Band.M20, ModeGroup.CW))
                .isNull();
    }

    @ParameterizedTest
    @CsvSource({
        "on the islands IOTA EU-003 today, EU-003",
        "sota cu/co-001 qrp, CU/CO-001",
        "park CUFF-0012, CUFF-0012",
        "park K-1234, K-1234",
        "up 2-3, ",
        "EU-03, ",
        "no reference here, ",
    })
    void referencesAreFoundInComments(String comment, String reference) {
        assertThat(References.in(comment)).isEqualTo(reference);
    }
}
