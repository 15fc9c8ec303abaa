package yokebar.bench;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import yokebar.core.basics.band.BandPlan;
import yokebar.core.basics.band.Region;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.entity.Entities;
import yokebar.core.basics.geo.Locator;
import yokebar.core.log.adif.AdiReader;
import yokebar.core.log.adif.AdifRecord;
import yokebar.core.log.contact.ContactAdif;
import yokebar.core.log.contact.Reading;
import yokebar.core.log.index.Entry;
import yokebar.core.log.tally.ContactCredits;
import yokebar.core.log.tally.ContactOrigin;
import yokebar.core.log.tally.CreditKind;
import yokebar.core.log.tally.Proofs;
import yokebar.core.log.tally.WorkedBefore;
import yokebar.core.operate.need.Goal;
import yokebar.core.operate.onair.Appraiser;
import yokebar.core.operate.onair.Atlas;
import yokebar.core.operate.onair.Audible;
import yokebar.core.operate.onair.CallPatterns;
import yokebar.core.operate.onair.OperatorGoals;
import yokebar.core.sources.spot.ClusterLine;
import yokebar.core.sources.spot.ClusterText;
import yokebar.core.sources.spot.Heard;
import yokebar.core.sources.spot.HeardList;
import yokebar.core.sources.spot.ModeGuess;
import yokebar.core.sources.spot.SpotCheck;
import yokebar.standins.air.Air;
import yokebar.standins.air.Reception;
import yokebar.standins.world.World;

/** How many spots a second one thread reads, merges, appraises beside a million contacts, and ranks. */
public final class AirFigures {
    private static final Proofs PROVEN = Proofs.by(1);
    private static final int CONTACTS = Integer.getInteger("contacts", 1_000_000);
    private static final int LINES = Integer.getInteger("lines", 500_000);
    private static final int PART = 50_000;
    private static final int ROUNDS = 5;
    /** A page reads the list no more often than this many spots at a hundred thousand a second. */
    private static final int RANKED_EVERY = 20_000;

    private static final Duration HOUR = Duration.ofHours(1);

    private AirFigures() {}

    public static void main(String[] args) throws IOException {
        WorkedBefore before = log();
        List<String> lines = lines();
        double best = 0;
        long checked = 0;
        for (int round = 0; round < ROUNDS; round++) {
            long began = System.nanoTime();
            checked += run(before, lines);
            best = Math.max(best, lines.size() / ((System.nanoTime() - began) / 1e9));
        }
        System.out.printf(
                "air: %.0f spots/s read, merged, appraised and ranked by one thread, quickest of %d (target 100000); %d%n",
                best, ROUNDS, checked);
    }

    private static long run(WorkedBefore before, List<String> lines) {
        Instant now = Instant.now();
        HeardList list = new HeardList(HOUR, 5_000);
        Atlas atlas = new Atlas(Entities.shipped(), new Locator("HM49kq").centre(), LocalDate.now(ZoneOffset.UTC));
        OperatorGoals aims = new OperatorGoals(
                ContactOrigin.UNKNOWN,
                List.of(
                        Goal.ofWholeLog(CreditKind.ENTITY, Goal.Granularity.BAND, Goal.Bar.CONFIRMED, Proofs.NONE),
                        Goal.ofWholeLog(CreditKind.CQ_ZONE, Goal.Granularity.EVER, Goal.Bar.WORKED, Proofs.NONE),
                        Goal.ofWholeLog(CreditKind.PREFIX, Goal.Granularity.EVER, Goal.Bar.WORKED, Proofs.NONE)),
                CallPatterns.of(List.of("ZP*")),
                CallPatterns.NONE,
                hz -> true,
                call -> null);
        Appraiser appraiser = new Appraiser(before, atlas, aims, HOUR);
        BandPlan plan = BandPlan.of(Region.EUROPE_AFRICA);
        long seen = 0;
        long ranked = 0;
        for (int i = 0; i < lines.size(); i++) {
            if (ClusterText.read(lines.get(i)) instanceof ClusterLine.Spot spot) {
                SpotCheck.Checked checked = SpotCheck.of(spot, now, HOUR);
                if (checked.fault() == null) {
                    list.take(spot, ModeGuess.of(spot.frequencyHz(), spot.comment(), plan), checked.at());
                }
            }
            if (i % RANKED_EVERY == RANKED_EVERY - 1) {
                List<Audible> all = new ArrayList<>();
                for (Heard heard : list.changedSince(seen)) {
                    Audible audible = appraiser.of(heard, now);
                    if (audible != null) {
                        all.add(audible);
                    }
                }
                all.sort(Comparator.comparingDouble(Audible::score).reversed());
                seen = list.revision();
                ranked += all.size();
            }
        }
        return ranked;
    }

    private static List<String> lines() {
        Air air = new Air(new World(9), Clock.systemUTC(), 5);
        air.setScene(Air.Scene.STORM);
        String time = String.format("%tH%<tM", LocalTime.now(ZoneOffset.UTC));
        List<String> lines = new ArrayList<>();
        for (int i = 0; i < LINES; i++) {
            Reception heard = air.reception();
            lines.add(String.format(
                    Locale.ROOT,
                    "DX de %-12s %9.2f  %-12s %-5s %2d dB  %2d WPM  CQ      %sZ",
                    heard.hearer().call() + "-#:",
                    heard.hz() / 1000.0,
                    heard.call(),
                    heard.mode(),
                    heard.snrDb(),
                    20,
                    time));
        }
        return lines;
    }

    private static WorkedBefore log() throws IOException {
        WorkedBefore before = new WorkedBefore();
        int counted = 0;
        for (int from = 0; from < CONTACTS; from += PART) {
            List<ContactCredits> credits = new ArrayList<>();
            AdiReader reader =
                    new AdiReader(new ByteArrayInputStream(LongLog.adi(from, Math.min(from + PART, CONTACTS))));
            for (AdifRecord record = reader.next(); record != null; record = reader.next()) {
                if (ContactAdif.read(record.fields(), new Call("CU9QYB")) instanceof Reading.Readable readable) {
                    Entry entry = Entry.of(++counted, readable.contact(), Entities.shipped());
                    credits.add(ContactCredits.of(entry, counted % 3 == 0 ? PROVEN : Proofs.NONE));
                }
            }
            before.add(credits);
        }
        return before;
    }
}
