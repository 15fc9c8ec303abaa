package yokebar.standins.countersign;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.standins.adif.AdifText;

/**
 * The service's books: batches, the contacts it took and how often each was handed in, confirmations. Every change is one
 * line appended to a file, so that the books outlive the process. Not thread-safe; the service locks around it.
 */
final class Ledger {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    /**
     * @param outcomes one a record once processed: {@code accepted}, {@code duplicate} or {@code refused: words}
     */
    record Batch(
            String number,
            String idempotencyKey,
            Instant arrived,
            List<Map<String, String>> records,
            String signedFor,
            Instant from,
            Instant until,
            @Nullable List<String> outcomes) {}

    /**
     * @param key own call, call, band, mode and start to the minute
     * @param copies how often it was handed in
     * @param confirmAt when the other side's log arrives; null when never
     */
    record Entry(String key, Map<String, String> fields, int copies, @Nullable Instant confirmAt) {}

    /**
     * @param number counted from 1 in the order of receipt
     */
    record Confirmation(int number, Instant receivedAt, Map<String, String> fields) {}

    private final Path file;
    private final Map<String, Batch> batches = new LinkedHashMap<>();
    private final Map<String, String> numberByKey = new LinkedHashMap<>();
    private final Map<String, Entry> entries = new LinkedHashMap<>();
    private final List<Confirmation> confirmations = new ArrayList<>();
    private final Set<String> confirmed = new HashSet<>();

    Ledger(Path folder) {
        this.file = folder.resolve("books.jsonl");
        try {
            Files.createDirectories(folder);
            if (Files.exists(file)) {
                for (String line : Files.readAllLines(file)) {
                    JsonNode node = JSON.readTree(line);
                    switch (node.path("kind").asString()) {
                        case "batch" -> put(JSON.treeToValue(node.path("it"), Batch.class));
                        case "entry" -> put(JSON.treeToValue(node.path("it"), Entry.class));
                        case "confirmation" -> put(JSON.treeToValue(node.path("it"), Confirmation.class));
                        default -> throw new IllegalStateException("unknown line in " + file);
                    }
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    void save(Batch batch) {
        append("batch", batch);
        put(batch);
    }

    void save(Entry entry) {
        append("entry", entry);
        put(entry);
    }

    void save(Confirmation confirmation) {
        append("confirmation", confirmation);
        put(confirmation);
    }

    Optional<Batch> batch(String number) {
        return Optional.ofNullable(batches.get(number));
    }

    Optional<Batch> batchWithKey(String idempotencyKey) {
        return Optional.ofNullable(numberByKey.get(idempotencyKey)).map(batches::get);
    }

    Collection<Batch> batches() {
        return new ArrayList<>(batches.values());
    }

    Collection<Entry> entries() {
        return new ArrayList<>(entries.values());
    }

    Optional<Entry> entry(String key) {
        return Optional.ofNullable(entries.get(key));
    }

    List<Confirmation> confirmations() {
        return new ArrayList<>(confirmations);
    }

    boolean confirmed(String key) {
        return confirmed.contains(key);
    }

    private void put(Batch batch) {
        batches.put(batch.number(), batch);
        numberByKey.put(batch.idempotencyKey(), batch.number());
    }

    private void put(Entry entry) {
        entries.put(entry.key(), entry);
    }

    private void put(Confirmation confirmation) {
        confirmations.add(confirmation);
        confirmed.add(AdifText.key(confirmation.fields()));
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
