package yokebar.bench;

import java.io.IOException;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** Searching, counting, paging, editing and logging in a log of a million contacts, over HTTP. */
public final class LogFigures {
    private static final int CONTACTS = Integer.getInteger("contacts", 1_000_000);
    private static final int PART = 50_000;
    private static final int TRIES = 60;
    private static final List<String> SEARCHES = List.of(
            "",
            "ana",
            "zp5",
            "harbour",
            "call:oz1*",
            "20m cw",
            "entity:japan 40m",
            "date:2009",
            "date:2010-05..2011-02-03",
            "freq:14000..14070",
            "power:<10",
            "comment:\"number 4711\"",
            "iota:eu-042",
            "via:rpt -band:20m",
            "-group:digital",
            "state:ca,tx band:15m,10m",
            "countersign:held",
            "name:zoë date:>=2020",
            "qth:*bridge*",
            "via:none ssb");

    private final HttpClient http = HttpClient.newHttpClient();
    private final URI api;

    private LogFigures(URI address) {
        this.api = address.resolve("api/");
    }

    public static void main(String[] args) throws Exception {
        Path home = Path.of("bench/target/long-log-" + CONTACTS).toAbsolutePath();
        boolean fresh = !Files.exists(home.resolve("log.mv.db"));
        long began = System.nanoTime();
        try (RunningYokebar yokebar = new RunningYokebar(home)) {
            System.out.printf("log: ready after %.1f s%n", since(began) / 1e3);
            LogFigures figures = new LogFigures(yokebar.address());
            if (fresh) {
                figures.fill(yokebar);
            }
            figures.run(began);
            System.out.printf("log: file %.2f GB%n", Files.size(home.resolve("log.mv.db")) / 1e9);
        }
    }

    private void fill(RunningYokebar yokebar) throws IOException, InterruptedException {
        long began = System.nanoTime();
        for (int from = 0; from < CONTACTS; from += PART) {
            yokebar.importText(LongLog.adi(from, Math.min(from + PART, CONTACTS)));
        }
        System.out.printf("log: %d contacts imported in %.0f s%n", CONTACTS, since(began) / 1e3);
    }

    private void run(long began) throws IOException, InterruptedException {
        Waiting.until("the index", 20, () -> !get("log/index").contains("\"ready\":false"));
        System.out.printf("log: whole log read %.1f s after the start%n", since(began) / 1e3);
        System.gc();
        long used = Runtime.getRuntime().totalMemory() - Runtime.getRuntime().freeMemory();
        System.out.printf("log: heap in use %.0f MB%n", used / 1e6);
        if (Boolean.getBoolean("changes-only")) {
            bulk();
            bulk();
            return;
        }
        Random random = new Random(1);
        for (String search : SEARCHES) {
            get("log/rows?search=" + encoded(search));
            get("log/facets?search=" + encoded(search));
        }
        print("first page", 150, i -> get("log/rows?limit=100"));
        print("jump anywhere", 250, i -> get("log/rows?limit=100&from=" + random.nextInt(CONTACTS)));
        print("search", 250, i -> get("log/rows?search=" + encoded(fresh(SEARCHES.get(i % SEARCHES.size()), i))));
        for (String search : SEARCHES) {
            long start = System.nanoTime();
            String answer = get("log/rows?limit=1&search=" + encoded(fresh(search, random.nextInt())));
            System.out.printf("log:   %-28s %5.0f ms %s%n", search, since(start), found(answer));
        }
        print("sorted search", 250, i -> get("log/rows?sort=CALL&search=" + encoded(fresh("20m", i))));
        print("facets", 400, i -> get("log/facets?search=" + encoded(fresh(SEARCHES.get(i % SEARCHES.size()), i))));
        logOne();
        System.out.println("log: the first bulk changes since the start, then the same once more");
        bulk();
        bulk();
    }

    /** From the line sent off to the contact on the disk; each is taken back, so that the log stays as long. */
    private void logOne() throws IOException, InterruptedException {
        post("station", "PUT", "{\"ownCall\":\"CU9QYB\"}");
        List<Long> changes = new ArrayList<>();
        long run = System.currentTimeMillis();
        print("log one contact", 30, i -> {
            String line = "zp5q%c%c 20m cw 579 599 ana".formatted('a' + i / 26, 'a' + i % 26);
            String answer =
                    post("line/log", "{\"text\":\"" + line + "\",\"typedForMs\":900,\"key\":\"" + run + i + "\"}");
            changes.add(number(answer, "changeId"));
            return answer;
        });
        for (long change : changes) {
            post("changes/" + change + "/undo", "");
        }
    }

    /** A search that was not asked before, so that nothing remembered answers it. */
    private static String fresh(String search, int i) {
        return search + " -call:none" + i;
    }

    private void bulk() throws IOException, InterruptedException {
        String selection = "{\"search\":\"date:2012-03..2012-06-20\"}";
        String preview =
                post("changes/preview", "{\"selection\":" + selection + ",\"changes\":{\"PROP_MODE\":\"ES\"}}");
        System.out.println("log: bulk preview " + preview.substring(0, Math.min(100, preview.length())));
        long edited =
                change("changes/edit", "{\"selection\":" + selection + ",\"changes\":{\"PROP_MODE\":\"ES\"}}", "edit");
        change("changes/" + edited + "/undo", "", "undo of the edit");
        long deleted = change("changes/delete", selection, "delete");
        change("changes/" + deleted + "/undo", "", "undo of the delete");
    }

    private long change(String path, String body, String name) throws IOException, InterruptedException {
        long start = System.nanoTime();
        String answer = post(path, body);
        long id = number(answer, "id");
        Waiting.until(name, 100, () -> !get("changes/" + id).contains("RUNNING"));
        String done = get("changes/" + id);
        System.out.printf("log: %s of %d contacts %.1f s%n", name, number(done, "done"), since(start) / 1e3);
        return id;
    }

    private interface Ask {
        String ask(int i) throws IOException, InterruptedException;
    }

    private static void print(String name, int target, Ask ask) throws IOException, InterruptedException {
        double[] times = new double[TRIES];
        for (int i = 0; i < TRIES; i++) {
            long start = System.nanoTime();
            ask.ask(i);
            times[i] = since(start);
        }
        Arrays.sort(times);
        System.out.printf(
                "log: %s median %.0f ms, p95 %.0f ms (target %d)%n",
                name, times[TRIES / 2], times[(int) (TRIES * 0.95)], target);
    }

    private static String found(String answer) {
        return "found " + number(answer, "found");
    }

    private static long number(String json, String name) {
        Matcher matcher = Pattern.compile("\"" + name + "\":(\\d+)").matcher(json);
        return matcher.find() ? Long.parseLong(matcher.group(1)) : -1;
    }

    private String get(String path) throws IOException, InterruptedException {
        return send(HttpRequest.newBuilder(api.resolve(path)).build());
    }

    private String post(String path, String body) throws IOException, InterruptedException {
        return post(path, "POST", body);
    }

    private String post(String path, String method, String body) throws IOException, InterruptedException {
        return send(HttpRequest.newBuilder(api.resolve(path))
                .header("Content-Type", "application/json")
                .method(method, HttpRequest.BodyPublishers.ofString(body))
                .build());
    }

    private String send(HttpRequest request) throws IOException, InterruptedException {
        HttpResponse<String> response = http.send(request, HttpResponse.BodyHandlers.ofString());
        if (response.statusCode() >= 400) {
            throw new IOException(request.uri() + ": " + response.statusCode() + " " + response.body());
        }
        return response.body();
    }

    private static String encoded(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }

    private static double since(long nanos) {
        return (System.nanoTime() - nanos) / 1e6;
    }
}
