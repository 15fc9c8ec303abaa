package yokebar.bench;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.entity.Entities;
import yokebar.core.basics.mode.Mode;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.Contact;
import yokebar.core.operate.contest.ContactFacts;
import yokebar.core.operate.contest.ContestContact;
import yokebar.core.operate.contest.ContestDefinition;
import yokebar.core.operate.contest.ContestScore;
import yokebar.core.operate.contest.DefinitionReader;
import yokebar.core.operate.contest.Fact;
import yokebar.core.operate.contest.ShippedDefinitions;
import yokebar.core.operate.contest.pace.ContestPace;

/** Counts a contest of 10 000 contacts: one more with the score after it, and all of them from nothing. */
public final class ContestFigures {
    private static final int CONTACTS = 10_000;
    private static final int ROUNDS = 15;
    private static final Map<String, String> CATEGORY = Map.of("operator", "SINGLE-OP", "transmitter", "ONE");
    private static final List<String> PREFIXES = List.of("DL1", "EA8", "F5", "JA1", "K9", "OZ1", "W6", "ZP5", "ZS6");
    private static final List<Band> BANDS = List.of(Band.M160, Band.M80, Band.M40, Band.M20, Band.M15, Band.M10);

    private ContestFigures() {}

    /** One contest without limits, and one with operating time and band changes, which look at the order of all contacts. */
    public static void main(String[] args) {
        measure("lantern-weekend");
        measure("six-by-four");
    }

    private static void measure(String contest) {
        ContestDefinition definition = Objects.requireNonNull(DefinitionReader.read(
                        Objects.requireNonNull(ShippedDefinitions.texts().get(contest)))
                .definition());
        ContactFacts facts = new ContactFacts(definition, Entities.shipped());
        Map<Fact, String> own = facts.own(new Call("CU9QYB"), definition.from(), null, Map.of());
        List<Contact> log = log(definition.from(), definition.until());
        double[] wholeMs = new double[ROUNDS];
        double[] paceMs = new double[ROUNDS];
        List<Double> eachMs = new ArrayList<>();
        for (int round = 0; round < ROUNDS; round++) {
            ContestScore score = new ContestScore(definition, own, CATEGORY);
            long begun = System.nanoTime();
            List<ContestContact> seen = new ArrayList<>();
            for (int i = 0; i < CONTACTS; i++) {
                seen.add(facts.of(i, log.get(i)));
            }
            seen.forEach(score::put);
            score.score();
            wholeMs[round] = (System.nanoTime() - begun) / 1e6;
            long paced = System.nanoTime();
            ContestPace.of(definition, score.inOrder(), "", definition.until());
            paceMs[round] = (System.nanoTime() - paced) / 1e6;
            for (int i = 0; i < 200; i++) {
                ContestContact one = facts.of(CONTACTS + i, log.get(CONTACTS + i));
                long start = System.nanoTime();
                score.put(one);
                score.score();
                eachMs.add((System.nanoTime() - start) / 1e6);
            }
        }
        Arrays.sort(wholeMs);
        Arrays.sort(paceMs);
        eachMs.sort(null);
        System.out.printf(
                "contest: %s, %d contacts counted from nothing in %.0f ms, quickest %.0f (target 300), their pace in %.1f ms%n",
                contest, CONTACTS, wholeMs[ROUNDS / 2], wholeMs[0], paceMs[ROUNDS / 2]);
        System.out.printf(
                "contest: one more and the score after it, median %.3f ms, p95 %.3f ms (target 1)%n",
                eachMs.get(eachMs.size() / 2), eachMs.get(eachMs.size() * 95 / 100));
    }

    private static List<Contact> log(Instant from, Instant until) {
        Random random = new Random(3);
        long seconds = until.getEpochSecond() - from.getEpochSecond();
        List<Contact> log = new ArrayList<>();
        for (int i = 0; i < CONTACTS + 200; i++) {
            String call = PREFIXES.get(random.nextInt(PREFIXES.size())) + "Q" + (char) ('A' + random.nextInt(26))
                    + (char) ('A' + random.nextInt(26));
            log.add(new Contact(
                    new Call("CU9QYB"),
                    new Call(call),
                    from.plusSeconds(random.nextLong(seconds)),
                    true,
                    null,
                    BANDS.get(random.nextInt(BANDS.size())),
                    null,
                    new Mode("CW", null),
                    null,
                    AdifFields.of("RST_RCVD", "599", "SRX_STRING", Integer.toString(1 + random.nextInt(40)))));
        }
        return log;
    }
}
