package yokebar.bench;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.call.CallParts;
import yokebar.core.basics.entity.Entities;
import yokebar.core.log.adif.AdiReader;
import yokebar.core.log.adif.AdifRecord;
import yokebar.core.log.contact.ContactAdif;
import yokebar.core.log.contact.Reading;
import yokebar.core.log.index.Entry;
import yokebar.core.log.tally.ContactCredits;
import yokebar.core.log.tally.CreditKind;
import yokebar.core.log.tally.Proofs;
import yokebar.core.log.tally.WorkedBefore;
import yokebar.core.operate.line.LineText;
import yokebar.core.operate.need.NewOnes;

/** How long it takes to say who a call is and what it would bring, beside a million contacts. */
public final class WhoFigures {
    private static final Proofs PROVEN = Proofs.by(1);
    private static final int CONTACTS = Integer.getInteger("contacts", 1_000_000);
    private static final int PART = 50_000;
    private static final int ROUNDS = 7;
    private static final LocalDate TODAY = LocalDate.of(2026, 11, 24);

    private static final LocalDate FIRST_DAY = LocalDate.of(1946, 1, 1);
    private static final int DAYS = 80 * 365;
    private static final List<String> LINES = List.of(
            "zp5qxa 579 599 ana gg14",
            "14.195 up5",
            "ana zp5qxa 59+20 57 2026-11-20 14:07-14:12 5w sa-001",
            "zp5qxa olivia 599014 5nn qth:\"Ciudad del Este\" ; good signal, some fading");

    private WhoFigures() {}

    public static void main(String[] args) throws IOException {
        Entities entities = Entities.shipped();
        WorkedBefore before = new WorkedBefore();
        List<Call> calls = new ArrayList<>();
        List<ContactCredits> some = new ArrayList<>();
        int counted = 0;
        for (int from = 0; from < CONTACTS; from += PART) {
            List<ContactCredits> credits = new ArrayList<>();
            AdiReader reader =
                    new AdiReader(new ByteArrayInputStream(LongLog.adi(from, Math.min(from + PART, CONTACTS))));
            for (AdifRecord record = reader.next(); record != null; record = reader.next()) {
                if (ContactAdif.read(record.fields(), new Call("CU9QYB")) instanceof Reading.Readable readable) {
                    credits.add(ContactCredits.of(
                            Entry.of(++counted, readable.contact(), entities),
                            counted % 3 == 0 ? PROVEN : Proofs.NONE));
                    if (calls.size() < 200_000) {
                        calls.add(readable.contact().call());
                        some.add(credits.get(credits.size() - 1));
                    }
                }
            }
            before.add(credits);
        }
        double entityNanos =
                quickest(calls.size(), i -> entities.of(calls.get(i), TODAY).hashCode());
        System.out.printf("who: entity of a call %.2f M calls/s (target 1)%n", 1e3 / entityNanos);
        // Days from 1946 on, so that each block of calls is asked for with each of its owners.
        double datedNanos = quickest(calls.size(), i -> entities.of(calls.get(i), FIRST_DAY.plusDays(i * 37L % DAYS))
                .hashCode());
        System.out.printf("who: entity of a call with its history %.2f M calls/s (target 1)%n", 1e3 / datedNanos);
        double lineNanos = quickest(
                100_000,
                i -> LineText.read(LINES.get(i % LINES.size())).tokens().size());
        System.out.printf("who: reading a contact line %.4f ms (target 1)%n", lineNanos / 1e6);
        double wholeNanos = quickest(calls.size(), i -> {
            ContactCredits credits = some.get(i);
            return before.of(CreditKind.BASE_CALL.key(CallParts.of(calls.get(i)).base()))
                            .contacts()
                    + NewOnes.of(before, credits, "Somewhere", Set.of()).size();
        });
        System.out.printf(
                "who: worked before and what it brings %.4f ms a call beside %d contacts (target 0.1)%n",
                wholeNanos / 1e6, counted);
    }

    private interface Work {
        int on(int i);
    }

    /** Nanoseconds for one, in the quickest of several rounds over all. */
    private static double quickest(int size, Work work) {
        double best = Double.MAX_VALUE;
        int sum = 0;
        for (int round = 0; round < ROUNDS; round++) {
            long start = System.nanoTime();
            for (int i = 0; i < size; i++) {
                sum += work.on(i);
            }
            best = Math.min(best, (double) (System.nanoTime() - start) / size);
        }
        if (sum == 42) {
            System.out.println("who: forty-two");
        }
        return best;
    }
}
