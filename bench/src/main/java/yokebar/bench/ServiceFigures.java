package yokebar.bench;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import yokebar.standins.countersign.Countersign;
import yokebar.standins.world.World;

/** Packing what is due, fetching what was confirmed, and counting, in a log of a million contacts. */
public final class ServiceFigures {
    private static final int CONTACTS = Integer.getInteger("contacts", 1_000_000);
    private static final int CONFIRMATIONS = Integer.getInteger("confirmations", 100_000);
    private static final int TO_PACK = Integer.getInteger("to-pack", 100_000);
    private static final int PART = 50_000;
    private static final int LETTERS = 34;
    private static final int COUNTS = 60;
    private static final Pattern FIELD = Pattern.compile("<([A-Z_]+):(\\d+)>");

    private final HttpClient http = HttpClient.newHttpClient();
    private final URI api;

    private ServiceFigures(URI address) {
        this.api = address.resolve("api/");
    }

    public static void main(String[] args) throws Exception {
        Path home = Path.of("bench/target/service-log-" + CONTACTS).toAbsolutePath();
        boolean fresh = !Files.exists(home.resolve("log.mv.db"));
        Path books = Files.createTempDirectory("yokebar-books");
        try (RunningYokebar yokebar = new RunningYokebar(home);
                Countersign countersign = new Countersign(new World(9), Clock.systemUTC(), books, 0)) {
            countersign.setPaceOfOthers(0);
            countersign.setQueueDelay(Duration.ofDays(1));
            ServiceFigures figures = new ServiceFigures(yokebar.address());
            figures.setUp(countersign);
            if (fresh) {
                long began = System.nanoTime();
                for (int from = 0; from < CONTACTS; from += PART) {
                    yokebar.importText(LongLog.adi(from, Math.min(from + PART, CONTACTS)));
                }
                System.out.printf("services: %d contacts imported in %.0f s%n", CONTACTS, since(began) / 1e3);
            }
            figures.handOver();
            figures.pack();
            figures.fetch(countersign);
            figures.counts();
        }
    }

    private void setUp(Countersign countersign) throws Exception {
        send("station", "PUT", "{\"ownCall\":\"CU9QYB\"}");
        send(
                "services/1",
                "PUT",
                "{\"address\":\"" + countersign.address() + "\",\"account\":\"" + Countersign.ACCOUNT
                        + "\",\"password\":\"" + Countersign.PASSWORD
                        + "\",\"when\":\"BY_HAND\",\"fetchEverySeconds\":86400}");
        byte[] identity = countersign
                .authority()
                .issue("CU9QYB", Instant.parse("1980-01-01T00:00:00Z"), Instant.parse("2090-01-01T00:00:00Z"), "lamp");
        String head = "--part\r\nContent-Disposition: form-data; name=\"passphrase\"\r\n\r\nlamp\r\n"
                + "--part\r\nContent-Disposition: form-data; name=\"file\"; filename=\"id.p12\"\r\n\r\n";
        HttpRequest.BodyPublisher body = HttpRequest.BodyPublishers.concat(
                HttpRequest.BodyPublishers.ofString(head),
                HttpRequest.BodyPublishers.ofByteArray(identity),
                HttpRequest.BodyPublishers.ofString("\r\n--part--\r\n"));
        http.send(
                HttpRequest.newBuilder(api.resolve("services/1/identities"))
                        .header("Content-Type", "multipart/form-data; boundary=part")
                        .POST(body)
                        .build(),
                HttpResponse.BodyHandlers.discarding());
    }

    /** Rules, claiming, rendering, signing and storing, and nothing sent: as many letters for radio mail as the outbox takes. */
    private void pack() throws Exception {
        long began = System.nanoTime();
        long due = dueForMail();
        for (int letter = 0; letter < LETTERS; letter++) {
            send("mail/letters", "POST", "");
        }
        long packed = Math.min(due, 3000L * LETTERS);
        System.out.printf(
                "services: %d due contacts judged, packed, signed and stored as letters in %.1f s (target 15 for 100000)%n",
                packed, since(began) / 1e3);
        System.out.printf("services: heap in use %.0f MB%n", heap());
    }

    private long dueForMail() throws Exception {
        Matcher due = Pattern.compile("\"due\":(\\d+)").matcher(send("mail", "GET", ""));
        return due.find() ? Long.parseLong(due.group(1)) : 0;
    }

    /** The same with the way to a service that only queues what it gets. */
    private void handOver() throws Exception {
        // Other rules have everything looked at once more; one contact goes when that is done.
        long first = count("HANDED_OVER");
        send("services/1/handovers", "POST", "{\"maxContacts\":1}");
        Waiting.until("the first contact", 200, () -> count("HANDED_OVER") > first);
        long before = count("HANDED_OVER");
        long began = System.nanoTime();
        send("services/1/handovers", "POST", "{\"maxContacts\":" + TO_PACK + "}");
        Waiting.until("all contacts", 200, () -> count("HANDED_OVER") - before >= TO_PACK);
        System.out.printf(
                "services: %d due contacts packed, signed and handed over in batches in %.1f s%n",
                count("HANDED_OVER") - before, since(began) / 1e3);
        System.out.printf("services: heap in use %.0f MB%n", heap());
    }

    private long count(String state) throws Exception {
        Matcher counts = Pattern.compile("\"" + state + "\":(\\d+)").matcher(send("services", "GET", ""));
        return counts.find() ? Long.parseLong(counts.group(1)) : 0;
    }

    private void fetch(Countersign countersign) throws Exception {
        Instant received = Instant.now().minus(Duration.ofMinutes(50));
        int step = Math.max(1, CONTACTS / CONFIRMATIONS);
        int made = 0;
        for (int from = 0; from < CONTACTS && made < CONFIRMATIONS; from += PART) {
            String part = new String(LongLog.adi(from, Math.min(from + PART, CONTACTS)), StandardCharsets.UTF_8);
            String[] records = part.substring(part.indexOf("<EOH>") + 5).split("<EOR>");
            for (int i = 0; i + 1 < records.length && made < CONFIRMATIONS; i += step) {
                countersign.confirm(fields(records[i]), received.plusMillis(made * 20L));
                made++;
            }
        }
        long began = System.nanoTime();
        String said = send("services/1/fetches", "POST", "");
        System.out.printf(
                "services: %d confirmations fetched and matched with %d contacts in %.1f s (target 90): %s%n",
                made, CONTACTS, since(began) / 1e3, said);
        System.out.printf("services: heap in use %.0f MB%n", heap());
    }

    private static Map<String, String> fields(String record) {
        Map<String, String> fields = new LinkedHashMap<>();
        Matcher tag = FIELD.matcher(record);
        while (tag.find()) {
            int length = Integer.parseInt(tag.group(2));
            fields.put(tag.group(1), record.substring(tag.end(), Math.min(record.length(), tag.end() + length)));
        }
        fields.put("STATION_CALLSIGN", "CU9QYB");
        return fields;
    }

    private void counts() throws Exception {
        List<Double> times = new ArrayList<>();
        for (int i = 0; i < COUNTS; i++) {
            long began = System.nanoTime();
            send("services", "GET", "");
            times.add(since(began));
        }
        double[] sorted =
                times.stream().mapToDouble(Double::doubleValue).sorted().toArray();
        System.out.printf(
                "services: counts of all lanes median %.0f ms, p95 %.0f ms (target 100)%n",
                sorted[COUNTS / 2], sorted[(int) (COUNTS * 0.95)]);
        System.out.println("services: "
                + Arrays.stream(send("services", "GET", "").split("\"counts\":"))
                        .skip(1)
                        .map(text -> text.substring(0, text.indexOf('}') + 1))
                        .toList());
    }

    private String send(String path, String method, String body) throws Exception {
        HttpRequest request = HttpRequest.newBuilder(api.resolve(path))
                .timeout(Duration.ofMinutes(10))
                .header("Content-Type", "application/json")
                .method(method, HttpRequest.BodyPublishers.ofString(body))
                .build();
        HttpResponse<String> answer = http.send(request, HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() >= 300) {
            throw new IllegalStateException(path + ": " + answer.body());
        }
        return answer.body();
    }

    private static double heap() {
        System.gc();
        return (Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory()) / 1e6;
    }

    private static double since(long nanos) {
        return (System.nanoTime() - nanos) / 1e6;
    }
}
