package yokebar.core.operate.contest;

import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.operate.contest.limit.Breach;
import yokebar.core.operate.contest.limit.Category;
import yokebar.core.operate.contest.limit.LimitCourse;
import yokebar.core.operate.contest.limit.Moment;

/**
 * Counts the contacts of one contest. Contacts may come in any order, be changed and taken out again; each time only what
 * depends on that contact is counted anew, and the result is the same as counting all of them in the order they were made. Of two
 * that began in the same second the one with the lower number in the log was first. Not safe for use by several threads.
 */
public final class ContestScore {
    private static final Comparator<Entry> BY_TIME =
            Comparator.comparing((Entry e) -> e.contact.start()).thenComparingLong(e -> e.contact.id());

    private final ContestDefinition definition;
    private final Map<Fact, String> own;
    /** What is received in the contest and nowhere else. */
    private final Set<Fact> exchangeFacts;

    private final String power;
    private final Map<Long, Entry> entries = new HashMap<>();
    /** Contacts that would be dupes of each other, by what they have in common. */
    private final Map<String, TreeSet<Entry>> repeats = new HashMap<>();

    private final List<Holders> multipliers = new ArrayList<>();
    private final List<Holders> bonuses = new ArrayList<>();
    private final LimitCourse course;
    private final Map<Band, BandCount> bands = new EnumMap<>(Band.class);

    /**
     * @param own what is known of the own station
     * @param category the choices that were made, by the category's name, with that of power; a power the definition has no factor
     *     for counts once
     */
    public ContestScore(ContestDefinition definition, Map<Fact, String> own, Map<String, String> category) {
        this.definition = definition;
        this.own = own;
        exchangeFacts = definition.exchange().stream()
                .filter(field -> field.kind() != ExchangeKind.REPORT)
                .map(field -> Fact.exchange(field.name()))
                .collect(Collectors.toSet());
        power = category.getOrDefault(Category.POWER, "");
        course = new LimitCourse(definition.limits(), category);
        definition.multipliers().forEach(value -> multipliers.add(new Holders(value)));
        definition.bonuses().forEach(bonus -> bonuses.add(new Holders(bonus.value())));
    }

    /** A contact with what it is worth. */
    public record Judged(ContestContact contact, Verdict verdict) {}

    /** One contact with what it comes to at present. */
    private static final class Entry {
        private final ContestContact contact;
        private final long worth;
        private Outcome outcome;

        Entry(ContestContact contact, Outcome outcome, long worth) {
            this.contact = contact;
            this.outcome = outcome;
            this.worth = worth;
        }
    }

    /** What the contacts of one band come to. */
    private static final class BandCount {
        private int counting;
        private int dupes;
        private long points;
    }

    /** Who has brought the values of something that counts, the first one first. */
    private final class Holders {
        private final CountedValue value;
        private final Map<String, TreeSet<Entry>> byKey = new HashMap<>();

        Holders(CountedValue value) {
            this.value = value;
        }

        void change(Entry entry, boolean counts) {
            String key = key(entry.contact);
            if (key == null) {
                return;
            }
            TreeSet<Entry> holders = byKey.computeIfAbsent(key, k -> new TreeSet<>(BY_TIME));
            if (counts) {
                holders.add(entry);
            } else {
                holders.remove(entry);
            }
            if (holders.isEmpty()) {
                byKey.remove(key);
            }
        }

        boolean firstIs(Entry entry) {
            String key = key(entry.contact);
            TreeSet<Entry> holders = key == null ? null : byKey.get(key);
            return holders != null && holders.first() == entry;
        }

        int firstOn(Band band) {
            return (int) byKey.values().stream()
                    .filter(holders -> holders.first().contact.band() == band)
                    .count();
        }

        private @Nullable String key(ContestContact contact) {
            String counted = contact.facts().get(value.of());
            return counted == null || !meets(value.when(), contact) ? null : join(counted, value.each(), contact);
        }
    }

    /** Adds a contact, or puts it in place of the one with the same id. */
    public void put(ContestContact contact) {
        put(contact, hasExchange(contact) ? outcome(contact) : Outcome.NO_EXCHANGE);
    }

    private void put(ContestContact contact, Outcome outcome) {
        remove(contact.id());
        Entry entry = new Entry(contact, outcome, worth(contact));
        entries.put(contact.id(), entry);
        if (outcome == Outcome.COUNTS) {
            List<Long> others =
                    course.put(new Moment(contact.id(), contact.start(), contact.band(), contact.frequencyHz()));
            entry.outcome = allowed(contact.id());
            if (entry.outcome == Outcome.COUNTS) {
                enter(entry);
            }
            others.forEach(this::reconsider);
        }
    }

    /** What the limits say of a contact that counts otherwise. */
    private Outcome allowed(long id) {
        Breach breach = course.breach(id);
        if (breach == null) {
            return Outcome.COUNTS;
        }
        return switch (breach) {
            case OPERATING_TIME -> Outcome.OVER_TIME;
            case BAND_CHANGES -> Outcome.BAND_CHANGED;
            case MOVING -> Outcome.NOT_MOVED;
        };
    }

    /** Another contact came or went, and the limits say something else of this one. */
    private void reconsider(long id) {
        Entry entry = Objects.requireNonNull(entries.get(id));
        leave(entry);
        entry.outcome = allowed(id);
        if (entry.outcome == Outcome.COUNTS) {
            enter(entry);
        }
    }

    private void enter(Entry entry) {
        // Until it is settled nothing of it is counted yet.
        entry.outcome = Outcome.DUPE;
        bands.computeIfAbsent(entry.contact.band(), b -> new BandCount()).dupes++;
        TreeSet<Entry> group = repeats.computeIfAbsent(repeatKey(entry.contact), k -> new TreeSet<>(BY_TIME));
        group.add(entry);
        settle(group);
    }

    /** Takes a contact out; nothing happens when it is not there. */
    public void remove(long id) {
        Entry entry = entries.remove(id);
        if (entry != null) {
            leave(entry);
            course.remove(id).forEach(this::reconsider);
        }
    }

    private void leave(Entry entry) {
        String key = repeatKey(entry.contact);
        TreeSet<Entry> group = repeats.get(key);
        if (group == null || !group.remove(entry)) {
            return;
        }
        count(entry, false);
        BandCount band = band(entry);
        band.dupes--;
        if (band.counting + band.dupes == 0) {
            bands.remove(entry.contact.band());
        }
        if (group.isEmpty()) {
            repeats.remove(key);
        } else {
            settle(group);
        }
    }

    /** What a contact is worth at present; null when it is not there. */
    public @Nullable Verdict verdict(long id) {
        Entry entry = entries.get(id);
        if (entry == null) {
            return null;
        }
        if (entry.outcome != Outcome.COUNTS) {
            return new Verdict(entry.outcome, 0, List.of(), 0);
        }
        List<String> brought = multipliers.stream()
                .filter(holders -> holders.firstIs(entry))
                .map(holders -> holders.value.name())
                .toList();
        long bonus = 0;
        for (int i = 0; i < bonuses.size(); i++) {
            bonus += bonuses.get(i).firstIs(entry) ? definition.bonuses().get(i).points() : 0;
        }
        return new Verdict(Outcome.COUNTS, entry.worth, brought, bonus);
    }

    /** What a contact that is not there would be worth; its exchange may be still to come. */
    public Verdict wouldBe(ContestContact contact) {
        if (entries.containsKey(contact.id())) {
            throw new IllegalArgumentException("contact " + contact.id() + " is counted already");
        }
        put(contact, outcome(contact));
        Verdict verdict = Objects.requireNonNull(verdict(contact.id()));
        remove(contact.id());
        return verdict;
    }

    /** What the score would lose without a contact; 0 when it is not there. */
    public long lossWithout(long id) {
        Entry entry = entries.get(id);
        if (entry == null) {
            return 0;
        }
        long with = score().score();
        remove(id);
        long without = score().score();
        put(entry.contact);
        return with - without;
    }

    /** The class of power that counts; empty when none was chosen. */
    public String power() {
        return power;
    }

    /** All of it at present. */
    public Score score() {
        Map<String, Integer> counts = new LinkedHashMap<>();
        multipliers.forEach(holders -> counts.put(holders.value.name(), holders.byKey.size()));
        long bonus = 0;
        for (int i = 0; i < bonuses.size(); i++) {
            bonus += (long) bonuses.get(i).byKey.size()
                    * definition.bonuses().get(i).points();
        }
        List<Score.BandScore> byBand = byBand();
        int counting = byBand.stream().mapToInt(Score.BandScore::contacts).sum();
        int dupes = byBand.stream().mapToInt(Score.BandScore::dupes).sum();
        long points = byBand.stream().mapToLong(Score.BandScore::points).sum();
        return new Score(
                counting,
                dupes,
                entries.size() - counting - dupes,
                points,
                counts,
                bonus,
                definition.score().total(points, counts, power, bonus),
                byBand);
    }

    /** All contacts in the order they were made, with what each is worth at present. */
    public List<Judged> inOrder() {
        return entries.values().stream()
                .sorted(BY_TIME)
                .map(entry -> new Judged(entry.contact, Objects.requireNonNull(verdict(entry.contact.id()))))
                .toList();
    }

    /** The operating time that is left; null where it has no limit. */
    public @Nullable Duration operatingTimeLeft() {
        return course.left();
    }

    private List<Score.BandScore> byBand() {
        return definition.bands().stream()
                .filter(bands::containsKey)
                .map(band -> {
                    BandCount count = Objects.requireNonNull(bands.get(band));
                    return new Score.BandScore(band, count.counting, count.dupes, count.points, firstOn(band));
                })
                .toList();
    }

    private Map<String, Integer> firstOn(Band band) {
        Map<String, Integer> first = new LinkedHashMap<>();
        multipliers.forEach(holders -> first.put(holders.value.name(), holders.firstOn(band)));
        return first;
    }

    /** Decides anew which contacts of a group count. */
    private void settle(TreeSet<Entry> group) {
        Instant again = Instant.MIN;
        for (Entry entry : group) {
            boolean counts = !entry.contact.start().isBefore(again);
            if (counts) {
                again = definition.repeats().after() == null
                        ? Instant.MAX
                        : entry.contact.start().plus(definition.repeats().after());
            }
            count(entry, counts);
        }
    }

    private void count(Entry entry, boolean counts) {
        if (counts == (entry.outcome == Outcome.COUNTS)) {
            return;
        }
        entry.outcome = counts ? Outcome.COUNTS : Outcome.DUPE;
        int sign = counts ? 1 : -1;
        BandCount band = band(entry);
        band.counting += sign;
        band.dupes -= sign;
        band.points += sign * entry.worth;
        for (Holders holders : multipliers) {
            holders.change(entry, counts);
        }
        for (Holders holders : bonuses) {
            holders.change(entry, counts);
        }
    }

    private BandCount band(Entry entry) {
        return Objects.requireNonNull(bands.get(entry.contact.band()));
    }

    private boolean hasExchange(ContestContact contact) {
        return exchangeFacts.isEmpty()
                || !Collections.disjoint(exchangeFacts, contact.facts().keySet());
    }

    private Outcome outcome(ContestContact contact) {
        if (definition.periodOf(contact.start()) == 0) {
            return Outcome.OUTSIDE_PERIODS;
        }
        if (!definition.bands().contains(contact.band())) {
            return Outcome.OTHER_BAND;
        }
        if (!definition.modes().contains(contact.mode())) {
            return Outcome.OTHER_MODE;
        }
        boolean counts = definition.counting().isEmpty()
                || definition.counting().stream().anyMatch(conditions -> meets(conditions, contact));
        return counts ? Outcome.COUNTS : Outcome.NOT_COUNTED;
    }

    private long worth(ContestContact contact) {
        return definition.points().stream()
                .filter(rule -> meets(rule.when(), contact))
                .findFirst()
                .map(rule -> rule.worth(contact.facts(), own))
                .orElse(0L);
    }

    private boolean meets(List<Condition> conditions, ContestContact contact) {
        return conditions.stream().allMatch(condition -> condition.holds(contact.facts(), own));
    }

    private String repeatKey(ContestContact contact) {
        return join(contact.call().text(), definition.repeats().each(), contact);
    }

    private static String join(String what, List<Fact> each, ContestContact contact) {
        StringBuilder key = new StringBuilder(what);
        for (Fact fact : each) {
            key.append('|').append(contact.facts().getOrDefault(fact, ""));
        }
        return key.toString();
    }
}
