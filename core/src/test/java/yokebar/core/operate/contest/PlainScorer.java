package yokebar.core.operate.contest;

import static yokebar.core.operate.contest.MadeContact.OWN_LOCATOR;

import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.Supplier;
import java.util.function.ToLongFunction;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.call.Prefix;
import yokebar.core.basics.entity.Entities;
import yokebar.core.basics.entity.Situation;
import yokebar.core.basics.geo.Locator;
import yokebar.core.basics.geo.Path;

/**
 * Scores the shipped contests from nothing, each written by hand from its rules and none with the definitions or the engine: all
 * contacts in the order they were made, one after the other.
 */
final class PlainScorer {
    private static final List<Band> SIX = List.of(Band.M160, Band.M80, Band.M40, Band.M20, Band.M15, Band.M10);
    private static final List<String> ISLANDS = List.of("COR", "FLO", "FAI", "PIC", "SJO", "GRA", "TER", "SMI", "SMA");

    final List<Band> bands;
    final MadeContact.Answer answer;
    private final Predicate<Instant> inTime;
    private final Set<String> modes;
    private Function<MadeContact, String> dupe = c -> c.call() + c.band();
    private long againAfterSeconds = Long.MAX_VALUE;
    private ToLongFunction<MadeContact> points = c -> 1;
    private final Map<String, Function<MadeContact, @Nullable String>> multipliers = new LinkedHashMap<>();
    private ToLongFunction<MadeContact> bonus = c -> 0;
    private Function<MadeContact, @Nullable String> bonusOnce = c -> null;
    private Supplier<Limit> limits = () -> c -> true;
    private boolean product;
    private int factor = 1;

    private PlainScorer(List<Band> bands, Set<String> modes, Predicate<Instant> inTime, MadeContact.Answer answer) {
        this.bands = bands;
        this.modes = modes;
        this.inTime = inTime;
        this.answer = answer;
    }

    /** Looks at the contacts one after the other and says whether the next one may be made. */
    interface Limit {
        boolean allows(MadeContact next);
    }

    record Result(int contacts, int dupes, long points, Map<String, Integer> multipliers, long bonus, long score) {}

    Result score(List<MadeContact> made) {
        List<MadeContact> inOrder = new ArrayList<>(made);
        inOrder.sort(Comparator.comparing(MadeContact::start).thenComparing(MadeContact::id));
        Limit limit = limits.get();
        Map<String, Long> last = new HashMap<>();
        Map<String, Set<String>> brought = new LinkedHashMap<>();
        multipliers.keySet().forEach(name -> brought.put(name, new HashSet<>()));
        Set<String> bonuses = new HashSet<>();
        int contacts = 0;
        int dupes = 0;
        long sum = 0;
        long extra = 0;
        for (MadeContact c : inOrder) {
            if (!inTime.test(c.start()) || !bands.contains(c.band()) || !modes.contains(c.mode())) {
                continue;
            }
            if (!limit.allows(c)) {
                continue;
            }
            Long before = last.get(dupe.apply(c));
            long now = c.start().getEpochSecond();
            if (before != null && now - before < againAfterSeconds) {
                dupes++;
                continue;
            }
            last.put(dupe.apply(c), now);
            contacts++;
            sum += points.applyAsLong(c);
            multipliers.forEach((name, value) -> {
                String brings = value.apply(c);
                if (brings != null) {
                    brought.get(name).add(brings);
                }
            });
            String once = bonusOnce.apply(c);
            if (once != null && bonuses.add(once)) {
                extra += bonus.applyAsLong(c);
            }
        }
        Map<String, Integer> counted = new LinkedHashMap<>();
        brought.forEach((name, values) -> counted.put(name, values.size()));
        long by = product ? 1 : 0;
        for (int each : counted.values()) {
            by = product ? by * each : by + each;
        }
        return new Result(contacts, dupes, sum, counted, extra, sum * (counted.isEmpty() ? 1 : by) * factor + extra);
    }

    static PlainScorer of(String contest) {
        return switch (contest) {
            case "lantern-weekend" -> {
                PlainScorer s = new PlainScorer(
                        SIX,
                        Set.of("CW"),
                        between("2026-11-28T00:00:00Z", "2026-11-30T00:00:00Z"),
                        (r, call, id) -> List.of(
                                "599", r.nextInt(3) == 0 ? "0" + (1 + r.nextInt(9)) : "" + (1 + r.nextInt(40))));
                s.points = c -> entity(c) == 149 ? 0 : european(c) ? 1 : 3;
                s.multipliers.put("zones", c -> number(c.last()) + "/" + c.band());
                s.multipliers.put("entities", c -> entity(c) + "/" + c.band());
                yield s;
            }
            case "prefix-harvest" -> {
                PlainScorer s = new PlainScorer(
                        SIX,
                        Set.of("SSB"),
                        between("2027-03-13T12:00:00Z", "2027-03-14T12:00:00Z"),
                        (r, call, id) -> List.of("59", "" + id));
                s.points = c -> entity(c) == 149 ? 1 : (european(c) ? 2 : 3) * (low(c) ? 2 : 1);
                s.multipliers.put("prefixes", c -> Prefix.of(new Call(c.call())).text());
                s.limits = () -> PlainLimits.hours(18, 60);
                yield s;
            }
            case "corvo-calling" -> {
                PlainScorer s = new PlainScorer(
                        List.of(Band.M80, Band.M40, Band.M20, Band.M15, Band.M10),
                        Set.of("CW", "SSB"),
                        between("2027-01-16T18:00:00Z", "2027-01-17T18:00:00Z"),
                        (r, call, id) -> call.startsWith("CU")
                                ? List.of("59", ISLANDS.get(r.nextInt(9)), "" + id)
                                : List.of("59", "" + id));
                s.dupe = c -> c.call() + c.band() + c.mode();
                s.points = c -> entity(c) == 149 ? 1 : c.mode().equals("CW") ? 4 : 2;
                s.multipliers.put(
                        "islands", c -> c.received().size() == 3 ? c.received().get(1) + c.band() : null);
                s.multipliers.put("entities", c -> entity(c) + "/" + c.band());
                yield s;
            }
            case "nine-islands-party" -> {
                Predicate<Instant> first = between("2027-05-01T14:00:00Z", "2027-05-01T22:00:00Z");
                PlainScorer s = new PlainScorer(
                        List.of(Band.M80, Band.M40, Band.M20, Band.M15, Band.M10, Band.M2),
                        Set.of("CW", "SSB", "FT8"),
                        first.or(between("2027-05-02T10:00:00Z", "2027-05-02T16:00:00Z")),
                        (r, call, id) -> List.of("599", r.nextInt(4) == 0 ? "DX" : ISLANDS.get(r.nextInt(9))));
                s.dupe = c -> c.call() + c.band() + c.mode() + c.last();
                s.points = c -> c.mode().equals("SSB") ? 1 : 2;
                s.multipliers.put("islands", c -> ISLANDS.contains(c.last()) ? c.last() + c.mode() : null);
                s.bonus = c -> 100;
                s.bonusOnce = c -> c.call().equals("CU9QLZ") || c.call().equals("CU9QYB") ? c.call() : null;
                yield s;
            }
            case "field-camp" -> {
                PlainScorer s = new PlainScorer(
                        List.of(Band.M80, Band.M40, Band.M20, Band.M15, Band.M10, Band.M6, Band.M2),
                        Set.of("CW", "SSB", "FT8"),
                        between("2027-06-26T18:00:00Z", "2027-06-27T21:00:00Z"),
                        (r, call, id) -> List.of(
                                List.of("1A", "2A", "1E").get(r.nextInt(3)),
                                List.of("NOR", "SUL", "LES", "OES", "CEN", "ILH", "DX")
                                        .get(r.nextInt(7))));
                s.dupe = c -> c.call() + c.band() + c.mode();
                s.points = c -> c.mode().equals("SSB") ? 1 : 2;
                s.bonus = c -> 25;
                s.bonusOnce = MadeContact::last;
                s.factor = 5;
                yield s;
            }
            case "summit-hours" -> {
                PlainScorer s = new PlainScorer(
                        List.of(Band.M2, Band.CM70, Band.CM23),
                        Set.of("CW", "SSB", "FT8"),
                        between("2027-07-03T14:00:00Z", "2027-07-04T14:00:00Z"),
                        (r, call, id) -> List.of("59", "" + id, MadeContact.locator(r)));
                s.points = c -> kilometres(c) * (c.band() == Band.CM23 ? 3 : 1);
                s.multipliers.put("squares", c -> locator(c).substring(0, 4) + c.band());
                yield s;
            }
            case "teleprinter-days" -> {
                PlainScorer s = new PlainScorer(
                        List.of(Band.M80, Band.M40, Band.M20, Band.M15, Band.M10),
                        Set.of("RTTY"),
                        between("2027-02-13T00:00:00Z", "2027-02-15T00:00:00Z"),
                        (r, call, id) -> List.of("599", "0" + id));
                s.points = c -> entity(c) == 149 ? 1 : european(c) ? 2 : 3;
                s.multipliers.put("entities", c -> entity(c) + "/" + c.band());
                s.multipliers.put("continents", c -> where(c).continent());
                s.product = true;
                yield s;
            }
            case "wednesday-hour" -> {
                PlainScorer s = new PlainScorer(
                        List.of(Band.M80, Band.M40),
                        Set.of("CW"),
                        between("2026-12-02T19:00:00Z", "2026-12-02T20:00:00Z"),
                        (r, call, id) -> List.of(r.nextBoolean() ? "ANA" : "RUI", "" + id));
                s.againAfterSeconds = 15 * 60;
                s.multipliers.put("first letters", c -> c.call().substring(0, 1));
                yield s;
            }
            case "generations" -> {
                PlainScorer s = new PlainScorer(
                        List.of(Band.M40, Band.M20, Band.M15, Band.M10),
                        Set.of("SSB"),
                        between("2027-04-10T06:00:00Z", "2027-04-10T18:00:00Z"),
                        (r, call, id) -> List.of("59", "" + (8 + r.nextInt(80))));
                s.points = c -> number(c.last()) <= 18 ? 5 : european(c) ? 1 : 2;
                s.multipliers.put("ages", c -> c.last() + "/" + c.band());
                yield s;
            }
            case "keepers-roll" -> {
                PlainScorer s = new PlainScorer(
                        List.of(Band.M40, Band.M20),
                        Set.of("CW", "SSB"),
                        between("2027-08-21T00:00:00Z", "2027-08-22T00:00:00Z"),
                        (r, call, id) -> List.of("59", r.nextBoolean() ? "0" : "" + (1 + r.nextInt(300))));
                s.dupe = MadeContact::call;
                s.points = c -> "0".equals(c.last()) ? 1 : c.call().equals("CU9QLZ") ? 25 : 10;
                s.multipliers.put("members", c -> "0".equals(c.last()) ? null : c.last());
                yield s;
            }
            case "six-by-four" -> {
                PlainScorer s = new PlainScorer(
                        SIX,
                        Set.of("CW", "SSB", "RTTY", "FT8"),
                        between("2027-10-09T00:00:00Z", "2027-10-10T00:00:00Z"),
                        (r, call, id) -> List.of("59", "" + (30 + r.nextInt(10))));
                s.dupe = c -> c.call() + c.band() + c.mode();
                s.points = c -> number(c.last()) == 36 ? 1 : european(c) ? 3 : 5;
                s.multipliers.put("zones", c -> c.last() + c.band() + c.mode());
                s.multipliers.put("states", c -> c.state() == null ? null : c.state() + c.mode());
                s.limits = () -> {
                    Limit hours = PlainLimits.hours(16, 30);
                    Limit changes = PlainLimits.changes(8);
                    return c -> hours.allows(c) & changes.allows(c);
                };
                s.factor = 3;
                yield s;
            }
            case "hopscotch-sprint" -> {
                PlainScorer s = new PlainScorer(
                        List.of(Band.M80, Band.M40, Band.M20),
                        Set.of("CW"),
                        between("2027-02-06T18:00:00Z", "2027-02-06T22:00:00Z"),
                        (r, call, id) -> List.of("" + id, r.nextBoolean() ? "ANA" : "RUI"));
                s.multipliers.put("prefixes", c -> Prefix.of(new Call(c.call())).text());
                s.limits = PlainLimits::twoInOnePlace;
                yield s;
            }
            default -> throw new IllegalArgumentException("The contest " + contest + " has no plain scorer.");
        };
    }

    private static Predicate<Instant> between(String from, String until) {
        return at -> at.compareTo(Instant.parse(from)) >= 0 && at.compareTo(Instant.parse(until)) < 0;
    }

    private static Situation where(MadeContact c) {
        LocalDate day = LocalDate.ofInstant(c.start(), ZoneOffset.UTC);
        return Entities.shipped().of(new Call(c.call()), day).orElseThrow();
    }

    private static int entity(MadeContact c) {
        return where(c).entity().number();
    }

    private static boolean european(MadeContact c) {
        return where(c).continent().equals("EU");
    }

    private static boolean low(MadeContact c) {
        return c.band().lowHz() < 10_000_000;
    }

    private static int number(@Nullable String word) {
        return word == null ? 0 : Integer.parseInt(word);
    }

    private static String locator(MadeContact c) {
        return c.received().get(2);
    }

    private static long kilometres(MadeContact c) {
        double km = Path.between(OWN_LOCATOR.centre(), new Locator(locator(c)).centre())
                .distanceKm();
        return km <= 1 ? 1 : (long) Math.ceil(km);
    }
}
