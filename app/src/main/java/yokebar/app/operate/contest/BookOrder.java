package yokebar.app.operate.contest;

import java.time.Instant;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.NavigableSet;
import java.util.Optional;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import yokebar.core.basics.call.Call;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.index.LogFields;

/**
 * The contacts of a book by time, by the line they were typed in and by the serial that was sent, so that no question of the contest
 * line has to look at all of them. Not safe for use by several threads.
 */
final class BookOrder {
    private static final Comparator<Place> BY_TIME =
            Comparator.comparing(Place::start).thenComparing(Place::id);

    private final Map<Long, Contact> byId = new HashMap<>();
    private final NavigableMap<Place, Contact> byTime = new TreeMap<>(BY_TIME);
    private final Map<String, NavigableSet<Long>> byLine = new HashMap<>();
    private final NavigableMap<Integer, NavigableSet<Long>> bySerial = new TreeMap<>();

    private record Place(Instant start, long id) {}

    Optional<Contact> find(long id) {
        return Optional.ofNullable(byId.get(id));
    }

    /** In place of what was known by this id. */
    void put(long id, Contact contact) {
        remove(id);
        byId.put(id, contact);
        byTime.put(new Place(contact.start(), id), contact);
        String line = contact.detail(LogFields.CONTEST_LINE);
        if (line != null) {
            byLine.computeIfAbsent(line, key -> new TreeSet<>()).add(id);
        }
        int serial = serial(contact);
        if (serial > 0) {
            bySerial.computeIfAbsent(serial, key -> new TreeSet<>()).add(id);
        }
    }

    void remove(long id) {
        Contact known = byId.remove(id);
        if (known != null) {
            byTime.remove(new Place(known.start(), id));
            take(byLine, String.valueOf(known.detail(LogFields.CONTEST_LINE)), id);
            take(bySerial, serial(known), id);
        }
    }

    private static <K> void take(Map<K, NavigableSet<Long>> from, K key, long id) {
        NavigableSet<Long> ids = from.get(key);
        if (ids != null) {
            ids.remove(id);
            if (ids.isEmpty()) {
                from.remove(key);
            }
        }
    }

    /** In the order they were made. */
    List<Map.Entry<Long, Contact>> inOrder() {
        return byTime.entrySet().stream().map(BookOrder::withId).toList();
    }

    /** The latest first. */
    Stream<Map.Entry<Long, Contact>> latestFirst() {
        return byTime.descendingMap().entrySet().stream().map(BookOrder::withId);
    }

    private static Map.Entry<Long, Contact> withId(Map.Entry<Place, Contact> entry) {
        return Map.entry(entry.getKey().id(), entry.getValue());
    }

    /** The contact that a line with this key became. */
    Optional<Map.Entry<Long, Contact>> loggedAs(String key) {
        NavigableSet<Long> ids = byLine.get(key);
        return ids == null ? Optional.empty() : find(ids.first()).map(contact -> Map.entry(ids.first(), contact));
    }

    /** The serial that comes next: one more than the highest that was sent. */
    int nextSerial() {
        return bySerial.isEmpty() ? 1 : bySerial.lastKey() + 1;
    }

    /** All that were sent, the lowest first. */
    NavigableSet<Integer> serials() {
        return new TreeSet<>(bySerial.keySet());
    }

    /** The station to which a serial was sent; the contact that was logged first, if it was sent twice. */
    Optional<Call> sentTo(int serial) {
        NavigableSet<Long> ids = bySerial.get(serial);
        return ids == null ? Optional.empty() : find(ids.first()).map(Contact::call);
    }

    private static int serial(Contact contact) {
        String sent = contact.detail("STX");
        return sent != null && sent.matches("\\d{1,6}") ? Integer.parseInt(sent) : 0;
    }
}
