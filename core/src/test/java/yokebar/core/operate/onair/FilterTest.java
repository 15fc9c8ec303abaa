package yokebar.core.operate.onair;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.entity.Entities;
import yokebar.core.basics.geo.Locator;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.log.tally.ContactOrigin;
import yokebar.core.log.tally.CreditKind;
import yokebar.core.log.tally.Proofs;
import yokebar.core.log.tally.WorkedBefore;
import yokebar.core.operate.need.Goal;
import yokebar.core.sources.spot.ClusterLine;
import yokebar.core.sources.spot.HeardList;

/** An hour of spots; each filter is compared with a plain computation over the spots themselves. */
class FilterTest {
    private static final Instant END = Instant.parse("2026-05-01T15:00:00Z");
    private static final String[] CALLS = {
        "OZ1Q", "K1Q", "K6Q", "JA1Q", "ZS6Q", "PY2Q", "VK3Q", "DL5Q", "CT3Q", "EA8Q", "W9Q", "ZL2Q"
    };
    private static final Mode[] MODES = {new Mode("CW", null), new Mode("SSB", "USB"), new Mode("FT8", null), null};

    private final Atlas atlas =
            new Atlas(Entities.shipped(), new Locator("HM49kq").centre(), LocalDate.parse("2026-05-01"));
    private final List<Reported> reports = new ArrayList<>();
    private final HeardList list = new HeardList(Duration.ofHours(1), 10_000);
    private Appraiser appraiser;

    /** One spot as it was told; each station stays on one frequency, so that it is one entry. */
    private record Reported(String call, long hertz, String spotter, Integer snr, boolean cq, Instant at, Mode mode) {}

    @BeforeEach
    void anHour() {
        Random random = new Random(7);
        List<Reported> stations = new ArrayList<>();
        for (int i = 0; i < 120; i++) {
            Band band = List.of(Band.M40, Band.M20, Band.M15).get(random.nextInt(3));
            long hertz = band.lowHz() + 2_000L * (i + 1) % (band.highHz() - band.lowHz());
            stations.add(new Reported(
                    CALLS[i % CALLS.length] + (char) ('A' + i / 26) + (char) ('A' + i % 26),
                    hertz,
                    "",
                    null,
                    false,
                    END,
                    MODES[i % MODES.length]));
        }
        for (int i = 0; i < 3_000; i++) {
            Reported station = stations.get(random.nextInt(stations.size()));
            boolean person = random.nextBoolean();
            Reported spot = new Reported(
                    station.call(),
                    station.hertz(),
                    CALLS[random.nextInt(CALLS.length)] + "Z" + (char) ('A' + random.nextInt(20)),
                    person ? null : random.nextInt(40),
                    random.nextBoolean(),
                    END.minusSeconds(3_590 - i),
                    station.mode());
            reports.add(spot);
            list.take(
                    new ClusterLine.Spot(
                            new Call(spot.spotter()),
                            spot.snr() != null,
                            spot.hertz(),
                            new Call(spot.call()),
                            "",
                            spot.snr(),
                            spot.cq(),
                            null,
                            null),
                    spot.mode(),
                    spot.at());
        }
        Goal squares = Goal.ofWholeLog(CreditKind.CQ_ZONE, Goal.Granularity.EVER, Goal.Bar.WORKED, Proofs.NONE);
        WorkedBefore before = new WorkedBefore();
        appraiser = new Appraiser(
                before,
                atlas,
                new OperatorGoals(
                        ContactOrigin.UNKNOWN,
                        List.of(squares),
                        CallPatterns.of(List.of("JA*")),
                        CallPatterns.NONE,
                        hz -> hz % 4_000 == 0,
                        call -> call.text().startsWith("D") ? LocalDate.parse("2026-04-01") : null),
                Duration.ofHours(1));
    }

    private Set<String> filtered(Filter filter) {
        return list.all().stream()
                .map(heard -> appraiser.of(heard, END))
                .filter(audible -> filter.passes(audible, atlas, END))
                .map(audible -> audible.heard().call().text())
                .collect(Collectors.toSet());
    }

    /** The last that each spotter told of each station, which is what a list keeps of it. */
    private List<Reported> latest() {
        return List.copyOf(reports.stream()
                .collect(Collectors.toMap(spot -> spot.call() + " " + spot.spotter(), spot -> spot, (a, b) -> b))
                .values());
    }

    private Set<String> plain(Predicate<Reported> test) {
        return latest().stream()
                .filter(spot -> !spot.at().isBefore(END.minus(Duration.ofMinutes(60))))
                .filter(test)
                .map(Reported::call)
                .collect(Collectors.toSet());
    }

    private boolean from(Reported spot, String... prefixes) {
        return List.of(prefixes).stream().anyMatch(prefix -> spot.spotter().startsWith(prefix));
    }

    private static Filter with(
            Set<String> hearerContinents,
            Set<Integer> hearerEntities,
            Set<Integer> hearerZones,
            Set<String> areas,
            Integer snr,
            int minutes) {
        return new Filter(
                hearerContinents,
                hearerEntities,
                hearerZones,
                areas,
                Set.of(),
                Set.of(),
                Set.of(),
                Set.of(),
                null,
                false,
                false,
                false,
                false,
                false,
                snr,
                minutes);
    }

    private static Filter station(
            Set<String> continents,
            Set<Integer> entities,
            Set<Band> bands,
            Set<ModeGroup> groups,
            Goal.Level need,
            boolean licence,
            boolean confirms,
            boolean cq,
            boolean watched) {
        return new Filter(
                Set.of(),
                Set.of(),
                Set.of(),
                Set.of(),
                continents,
                entities,
                bands,
                groups,
                need,
                licence,
                confirms,
                cq,
                watched,
                false,
                null,
                60);
    }

    @Test
    void byWhoHears() {
        assertThat(filtered(with(Set.of("EU"), Set.of(), Set.of(), Set.of(), null, 60)))
                .isEqualTo(plain(spot -> from(spot, "OZ", "DL")))
                .isNotEmpty();
        assertThat(filtered(with(Set.of(), Set.of(339), Set.of(), Set.of(), null, 2)))
                .isEqualTo(plain(spot -> from(spot, "JA") && spot.at().isAfter(END.minusSeconds(121))));
        assertThat(filtered(with(Set.of(), Set.of(), Set.of(3), Set.of("ZL"), null, 60)))
                .isEqualTo(plain(spot -> from(spot, "K6", "ZL")));
        assertThat(filtered(with(Set.of(), Set.of(), Set.of(), Set.of("K1"), 30, 60)))
                .as("the same hearer passes all")
                .isEqualTo(plain(spot -> from(spot, "K1") && (spot.snr() == null || spot.snr() >= 30)));
        assertThat(filtered(with(Set.of(), Set.of(), Set.of(), Set.of(), null, 15)))
                .isEqualTo(plain(spot -> !spot.at().isBefore(END.minus(Duration.ofMinutes(15)))));
    }

    @Test
    void byTheStation() {
        Set<Band> any = Set.of();
        assertThat(filtered(station(Set.of("AF"), Set.of(150), any, Set.of(), null, false, false, false, false)))
                .isEqualTo(plain(spot -> spot.call().matches("(ZS|CT3|EA8|VK).*")))
                .isNotEmpty();
        assertThat(filtered(station(
                        Set.of(), Set.of(), Set.of(Band.M15), Set.of(ModeGroup.CW), null, false, false, false, false)))
                .isEqualTo(plain(spot -> spot.hertz() > 20_000_000
                        && spot.mode() != null
                        && spot.mode().group() == ModeGroup.CW));
        assertThat(filtered(station(Set.of(), Set.of(), any, Set.of(), null, true, true, false, false)))
                .isEqualTo(
                        plain(spot -> spot.hertz() % 4_000 == 0 && spot.call().startsWith("D")));
        assertThat(filtered(station(Set.of(), Set.of(), any, Set.of(), null, false, false, false, true)))
                .isEqualTo(plain(spot -> spot.call().startsWith("JA")));
        assertThat(filtered(station(Set.of(), Set.of(), any, Set.of(), Goal.Level.EVER, false, false, false, false)))
                .as("no zone was worked")
                .isEqualTo(plain(spot -> true));
    }

    @Test
    void byCallingNow() {
        Set<String> calling = reports.stream()
                .collect(Collectors.toMap(Reported::call, spot -> spot, (a, b) -> b.at().isBefore(a.at()) ? a : b))
                .values()
                .stream()
                .filter(Reported::cq)
                .map(Reported::call)
                .collect(Collectors.toSet());
        assertThat(filtered(station(Set.of(), Set.of(), Set.of(), Set.of(), null, false, false, true, false)))
                .isEqualTo(calling);
    }

    @Test
    void readsAsASentence() {
        Filter filter = new Filter(
                Set.of("EU", "AF"),
                Set.of(),
                Set.of(),
                Set.of(),
                Set.of(),
                Set.of(),
                Set.of(Band.M20),
                Set.of(ModeGroup.CW, ModeGroup.DIGITAL),
                Goal.Level.BAND,
                true,
                true,
                true,
                true,
                true,
                10,
                20);
        assertThat(FilterSentence.of(filter, number -> "?").stream()
                        .map(FilterSentence.Phrase::words)
                        .collect(Collectors.joining(" · ")))
                .isEqualTo(
                        "heard from Africa and Europe · CW and digital · on 20m · needed by band · not worked here yet"
                                + " · on my watch list · inside my licence · confirms electronically · calling CQ"
                                + " · at least 10 dB · last 20 min");
    }
}
