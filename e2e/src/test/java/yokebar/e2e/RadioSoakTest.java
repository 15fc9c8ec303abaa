package yokebar.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import tools.jackson.databind.JsonNode;
import yokebar.links.fake.FakeRadio;
import yokebar.standins.port.FreePorts;

/**
 * A radio that delays, refuses, fragments, loses its line and has its knob turned; programs that key, die and never read; an
 * application that is ended and killed. The radio's own clock says how long it transmitted. Some seconds of it run with every
 * build, half an hour with {@code e2e/radio-soak.sh}.
 */
class RadioSoakTest {
    private static final int SECONDS = Integer.getInteger("yokebar.soak-seconds", 25);
    private static final int LIMIT_S = 5;
    private static final long LEARNED_WITHIN_NANOS = Duration.ofSeconds(10).toNanos();
    private static final long[] ANSWERS_MS = {0, 0, 0, 20, 60, 300, 800};
    private static final Map<Character, String> MODES = Map.of('1', "SSB", '2', "SSB", '3', "CW", '6', "RTTY");
    private static final long[] KNOB = {1_850_000, 3_560_000, 7_010_000, 14_025_000, 21_030_000, 28_060_000};

    @TempDir
    private static Path folder;

    private final Random random = new Random(Long.getLong("yokebar.seed", 11));
    private final FakeRadio radio = new FakeRadio();
    private final Map<String, Logged> logged = new ConcurrentHashMap<>();
    private final List<Long> kills = new CopyOnWriteArrayList<>();
    private final List<Exception> faults = new CopyOnWriteArrayList<>();
    private final AtomicInteger keyed = new AtomicInteger();
    private final AtomicInteger hungUp = new AtomicInteger();
    private final List<Long> dropped = new CopyOnWriteArrayList<>();
    private long longestAfterEndMs;
    private volatile boolean running = true;
    private volatile boolean up = true;
    private volatile long answerMs;
    private volatile long answerMsBefore;
    private volatile long answerSince;

    RadioSoakTest() throws IOException {}

    /** What was logged, and when that was acknowledged; the radio may have been slow then. */
    private record Logged(long asked, long acknowledged, long answerMs) {}

    @Test
    void nothingIsLeftTransmittingAndTheLogTellsWhatTheRadioWasSetTo() throws Exception {
        int share = FreePorts.tcp();
        try (YokebarProcess yokebar = new YokebarProcess(folder.resolve("yokebar")).start()) {
            yokebar.put("api/station", "{\"ownCall\":\"CU9QYB\"}");
            yokebar.post(
                    "api/radios",
                    "{\"name\":\"Fake\",\"dialect\":\"semicolon\",\"address\":\"127.0.0.1:" + radio.port()
                            + "\",\"sharePort\":" + share + ",\"shareTransmit\":true,\"keyingLimitS\":" + LIMIT_S
                            + "}");
            List<Thread> all = new ArrayList<>();
            all.add(thread(this::trouble));
            all.add(thread(() -> log(yokebar)));
            for (int i = 0; i < 3; i++) {
                long seed = i;
                all.add(thread(() -> program(share, new Random(seed))));
            }
            long until = System.nanoTime() + Duration.ofSeconds(SECONDS).toNanos();
            int ends = 0;
            while (System.nanoTime() < until) {
                Thread.sleep(4000 + random.nextInt(8000));
                up = false;
                if (random.nextBoolean()) {
                    end(yokebar);
                } else {
                    kills.add(System.nanoTime());
                    yokebar.kill();
                }
                radio.answerAfter(0);
                yokebar.start();
                Until.itIs("the radio is connected again", () -> yokebar.get("api/radios")
                        .get(0)
                        .path("now")
                        .path("frequencyHz")
                        .isNumber());
                Until.itIs("it receives", () -> !radio.transmits());
                ends++;
                up = true;
            }
            running = false;
            for (Thread one : all) {
                one.join(20_000);
            }
            Until.itIs("it receives at the end", () -> !radio.transmits());
            judge(yokebar, ends);
        } finally {
            running = false;
            radio.close();
        }
    }

    /** However slow the radio is, it receives a second after the end; each loss of its line meanwhile may cost two more. */
    private void end(YokebarProcess yokebar) throws Exception {
        long asked = System.nanoTime();
        yokebar.end();
        long ended = System.nanoTime();
        Until.itIs("it receives after the end of the application", () -> !radio.transmits());
        long afterMs = (System.nanoTime() - ended) / 1_000_000;
        long drops = dropped.stream().filter(at -> at > asked).count();
        longestAfterEndMs = Math.max(longestAfterEndMs, afterMs);
        assertThat(afterMs)
                .as(
                        "ms transmitted after the end, which took %d ms, with answers in %d ms and %d losses of the line:%n%s",
                        (ended - asked) / 1_000_000, answerMs, drops, Files.readString(yokebar.log()))
                .isLessThanOrEqualTo(1000 + 2000 * drops);
    }

    private void judge(YokebarProcess yokebar, int ends) throws Exception {
        long longest = 0;
        long longestKilled = 0;
        long longestReachable = 0;
        for (FakeRadio.Transmission one : radio.transmissions()) {
            boolean killed = kills.stream().anyMatch(at -> at > one.from() && at < one.to());
            longest = killed ? longest : Math.max(longest, one.ms());
            longestKilled = killed ? Math.max(longestKilled, one.ms()) : longestKilled;
            longestReachable = Math.max(longestReachable, one.ms() - downMs(one));
        }
        int wrong = 0;
        List<FakeRadio.Setting> settings = radio.settings();
        String adi = yokebar.text("/api/contacts.csv?columns=CALL,FREQ,MODE,TX_PWR");
        int inLog = 0;
        for (String line : adi.split("\r?\n")) {
            String[] cells = line.split(",", -1);
            Logged one = logged.get(cells[0]);
            if (one != null) {
                inLog++;
                if (!held(settings, one, cells)) {
                    wrong++;
                    System.out.println("not as the radio was: " + line + " " + around(settings, one));
                }
            }
        }
        System.out.printf(
                "soak: %d s, %d ends and kills, %d transmissions, longest %d ms (limit %d s), longest with a kill in it %d ms, "
                        + "longest without the time its line was down %d ms, "
                        + "longest after an end %d ms, "
                        + "%d keyed, %d dropped, %d contacts, %d wrong%n",
                SECONDS,
                ends,
                radio.transmissions().size(),
                longest,
                LIMIT_S,
                longestKilled,
                longestReachable,
                longestAfterEndMs,
                keyed.get(),
                hungUp.get(),
                inLog,
                wrong);
        assertThat(longestReachable).isLessThanOrEqualTo(LIMIT_S * 1000L + 1000);
        assertThat(faults).as("of what makes the trouble").isEmpty();
        assertThat(inLog).isEqualTo(logged.size());
        assertThat(wrong).isZero();
        assertThat(keyed.get()).isPositive();
    }

    /** Whether the radio was set so while, or a moment before, the contact was logged. */
    private static boolean held(List<FakeRadio.Setting> settings, Logged one, String[] cells) {
        long before = one.asked() - Duration.ofMillis(2500 + 6 * one.answerMs()).toNanos();
        long longBefore = before - Duration.ofMillis(4000 + 12 * one.answerMs()).toNanos();
        return within(settings, before, one, is(cells[1], s -> mhz(s.hz())))
                && within(settings, before, one, is(cells[2], RadioSoakTest::mode))
                && (cells[3].isEmpty()
                        || within(settings, longBefore, one, is(cells[3], s -> String.valueOf(s.watts()))));
    }

    private static Predicate<FakeRadio.Setting> is(String logged, Function<FakeRadio.Setting, String> part) {
        return setting -> part.apply(setting).equals(logged);
    }

    private static String mode(FakeRadio.Setting setting) {
        return MODES.getOrDefault(setting.mode(), "?");
    }

    /** A setting holds until the next one. */
    private static boolean within(
            List<FakeRadio.Setting> settings, long from, Logged one, Predicate<FakeRadio.Setting> what) {
        for (int i = 0; i < settings.size(); i++) {
            long until = i + 1 < settings.size() ? settings.get(i + 1).at() : Long.MAX_VALUE;
            if (until >= from && settings.get(i).at() <= one.acknowledged() && what.test(settings.get(i))) {
                return true;
            }
        }
        return false;
    }

    /** What the radio was set to around then, for whoever looks into it. */
    private static String around(List<FakeRadio.Setting> settings, Logged one) {
        return settings.stream()
                .filter(s ->
                        Math.abs(s.at() - one.asked()) < Duration.ofSeconds(15).toNanos())
                .map(s -> (s.at() - one.asked()) / 1_000_000 + " ms: " + mhz(s.hz()) + " " + mode(s) + " " + s.watts())
                .collect(Collectors.joining(
                        "; ",
                        "acknowledged after "
                                + (one.acknowledged() - one.asked()) / 1_000_000 + " ms, answers took " + one.answerMs()
                                + " ms; set to ",
                        ""));
    }

    /** How much of a transmission nobody could have ended, because the line to the radio was down. */
    private long downMs(FakeRadio.Transmission one) {
        return radio.downs().stream()
                        .mapToLong(
                                down -> Math.max(0, Math.min(down.to(), one.to()) - Math.max(down.from(), one.from())))
                        .sum()
                / 1_000_000;
    }

    private static String mhz(long hz) {
        return java.math.BigDecimal.valueOf(hz, 6).stripTrailingZeros().toPlainString();
    }

    private void trouble() throws Exception {
        Random mine = new Random(5);
        while (running) {
            Thread.sleep(150 + mine.nextInt(900));
            switch (mine.nextInt(9)) {
                case 0 -> {
                    answerMsBefore = System.nanoTime() - answerSince < LEARNED_WITHIN_NANOS
                            ? Math.max(answerMs, answerMsBefore)
                            : answerMs;
                    answerMs = ANSWERS_MS[mine.nextInt(ANSWERS_MS.length)];
                    answerSince = System.nanoTime();
                    radio.answerAfter(answerMs);
                }
                case 1 -> {
                    radio.refuse(sentence -> !sentence.equals("RX"));
                    Thread.sleep(mine.nextInt(700));
                    radio.refuse(sentence -> false);
                }
                case 2 -> radio.fragment(mine.nextBoolean());
                case 3 -> {
                    dropped.add(System.nanoTime());
                    radio.dropLine();
                }
                case 4 -> {
                    radio.ignore(sentence -> sentence.equals("PC") || sentence.equals("DA"));
                    Thread.sleep(mine.nextInt(700));
                    radio.ignore(sentence -> false);
                }
                case 5 -> radio.setMode(mine.nextBoolean() ? '3' : '6');
                case 6 -> radio.setWatts(5 + mine.nextInt(90));
                default -> radio.turnTo(KNOB[mine.nextInt(KNOB.length)] + mine.nextInt(900) * 10L);
            }
        }
    }

    private void log(YokebarProcess yokebar) throws InterruptedException {
        for (int i = 0; running; i++) {
            Thread.sleep(250);
            if (!up) {
                continue;
            }
            String call = "W" + i % 10 + "Q" + (char) ('A' + i / 10 % 26) + (char) ('A' + i / 260 % 26)
                    + (i >= 6760 ? String.valueOf((char) ('A' + i / 6760)) : "");
            long asked = System.nanoTime();
            try {
                JsonNode answer = yokebar.post(
                        "api/line/log", "{\"text\":\"" + call + "\",\"typedForMs\":0,\"key\":\"soak" + i + "\"}");
                if (answer.path("logged").path("fresh").asBoolean()) {
                    logged.put(call, new Logged(asked, System.nanoTime(), slowestMs()));
                }
            } catch (IOException e) {
                // No frequency just now, or killed: nothing was acknowledged.
            }
        }
    }

    /** A link that has learned that the radio is slow keeps what it said for longer, until it has learned otherwise. */
    private long slowestMs() {
        boolean learning = System.nanoTime() - answerSince < LEARNED_WITHIN_NANOS;
        return Math.max(20, learning ? Math.max(answerMs, answerMsBefore) : answerMs);
    }

    private void program(int port, Random mine) throws InterruptedException {
        while (running) {
            try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port)) {
                socket.setSoTimeout(200);
                switch (mine.nextInt(4)) {
                    case 0 -> flood(socket);
                    case 1 -> {
                        say(socket, "AI2;FA000140" + (10 + mine.nextInt(80)) + "000;");
                        Thread.sleep(mine.nextInt(1000));
                    }
                    default -> {
                        say(socket, "TX;");
                        keyed.incrementAndGet();
                        Thread.sleep(mine.nextInt(8000));
                        if (mine.nextBoolean()) {
                            say(socket, "RX;");
                        }
                    }
                }
            } catch (IOException e) {
                hungUp.incrementAndGet();
            }
            Thread.sleep(100 + mine.nextInt(500));
        }
    }

    private void flood(Socket socket) throws IOException {
        say(socket, "AI2;");
        for (int i = 0; i < 20_000 && running; i++) {
            say(socket, "IF;FA;FB;MD;IF;FA;FB;MD;");
        }
    }

    private static void say(Socket socket, String text) throws IOException {
        socket.getOutputStream().write(text.getBytes(StandardCharsets.US_ASCII));
    }

    private interface Work {
        void run() throws Exception;
    }

    private Thread thread(Work work) {
        Thread thread = new Thread(() -> {
            try {
                work.run();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            } catch (Exception e) {
                faults.add(e);
            }
        });
        thread.setDaemon(true);
        thread.start();
        return thread;
    }
}
