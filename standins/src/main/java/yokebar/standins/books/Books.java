package yokebar.standins.books;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A service's contacts, how often each was handed in, what it answered to which key, and the cards others put in. Every change is
 * one line appended to a file. Not thread-safe; the service locks around it.
 */
public final class Books {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    /**
     * A contact.
     *
     * @param number the service's own
     * @param key what makes it that contact
     * @param copies how often it was handed in anew; more than one is a double
     * @param gone whether it was deleted
     * @param cardAt when the other station puts in its card; null when never
     */
    public record Entry(
            String number,
            String key,
            Map<String, String> fields,
            int copies,
            boolean gone,
            @Nullable Instant cardAt) {}

    /** What was answered to a request with a key, so that the same request gets the same answer. */
    private record Answered(String key, String answer) {}

    /**
     * A card another station sent.
     *
     * @param number counted from 1
     * @param fields the contact as the other side has it in its log, seen from here
     */
    public record Card(int number, Instant receivedAt, Map<String, String> fields, String remark) {}

    private final Path file;
    private final Map<String, Entry> byNumber = new LinkedHashMap<>();
    private final Map<String, String> numberByKey = new LinkedHashMap<>();
    private final Map<String, String> answers = new LinkedHashMap<>();
    private final List<Card> cards = new ArrayList<>();

    public Books(Path folder) {
        this.file = folder.resolve("books.jsonl");
        try {
            Files.createDirectories(folder);
            if (Files.exists(file)) {
                for (String line : Files.readAllLines(file)) {
                    JsonNode node = JSON.readTree(line);
                    switch (node.path("kind").asString()) {
                        case "entry" -> put(JSON.treeToValue(node.path("it"), Entry.class));
                        case "card" -> cards.add(JSON.treeToValue(node.path("it"), Card.class));
                        case "answered" -> put(JSON.treeToValue(node.path("it"), Answered.class));
                        default -> throw new IllegalStateException("unknown line in " + file);
                    }
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public void save(Entry entry) {
        append("entry", entry);
        put(entry);
    }

    public void save(Card card) {
        append("card", card);
        cards.add(card);
    }

    public void answered(String key, String answer) {
        Answered answered = new Answered(key, answer);
        append("answered", answered);
        put(answered);
    }

    public Optional<String> answer(String key) {
        return Optional.ofNullable(answers.get(key));
    }

    public Optional<Entry> numbered(String number) {
        return Optional.ofNullable(byNumber.get(number)).filter(entry -> !entry.gone());
    }

    public Optional<Entry> withKey(String key) {
        return Optional.ofNullable(numberByKey.get(key)).map(byNumber::get).filter(entry -> !entry.gone());
    }

    /** All that were ever there, deleted ones too. */
    public List<Entry> entries() {
        return new ArrayList<>(byNumber.values());
    }

    public List<Card> cards() {
        return new ArrayList<>(cards);
    }

    private void put(Entry entry) {
        Entry before = byNumber.put(entry.number(), entry);
        if (before != null && !before.key().equals(entry.key())) {
            numberByKey.remove(before.key());
        }
        numberByKey.put(entry.key(), entry.number());
    }

    private void put(Answered answered) {
        answers.put(answered.key(), answered.answer());
    }

    private void append(String kind, Object it) {
        try {
            Files.writeString(
                    file,
                    JSON.writeValueAsString(Map.of("kind", kind, "it", it)) + "\n",
                    StandardOpenOption.CREATE,
                    StandardOpenOption.APPEND);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
