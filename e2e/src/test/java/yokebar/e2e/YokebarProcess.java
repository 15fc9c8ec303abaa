package yokebar.e2e;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.standins.StandIns;
import yokebar.standins.port.FreePorts;

/** The packed application as a process of its own, on its own ports and folder; it can be killed and started again. */
public final class YokebarProcess implements AutoCloseable {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Path JAR = Path.of(System.getProperty("yokebar.app.jar", "../app/target/yokebar-exec.jar"));
    /** Tests that run beside one another each unpack their own. */
    private static final Path UNPACKED = Path.of("target/unpacked").toAbsolutePath();

    private static final Path ARCHIVE = UNPACKED.resolve("yokebar.jsa");
    /** The tests start it often and for a short time each: what is compiled quickly is worth more than what then runs fastest. */
    private static final List<String> QUICK =
            List.of("-XX:+UseSerialGC", "-XX:TieredStopAtLevel=" + System.getProperty("yokebar.jit-level", "1"));

    /** Minutes, for on a loaded machine a start waits for the disk as long as everybody else does. */
    private static final Duration START_WITHIN = Duration.ofMinutes(4);

    private final HttpClient http = HttpClient.newHttpClient();
    private final Path home;
    private final int port;
    private final int adifPort;
    private final int sharePort;
    private final StandIns.LoopbackPorts devices;
    private List<String> runner = List.of();
    private Process process;

    public YokebarProcess(Path home) throws IOException {
        this.home = home;
        this.port = FreePorts.tcp();
        this.adifPort = FreePorts.udp();
        this.sharePort = FreePorts.tcp();
        this.devices = new StandIns.LoopbackPorts(
                FreePorts.tcp(),
                FreePorts.tcp(),
                FreePorts.tcp(),
                FreePorts.udp(),
                FreePorts.tcp(),
                FreePorts.tcp(),
                FreePorts.tcp(),
                FreePorts.tcp(),
                FreePorts.tcp(),
                FreePorts.tcp(),
                FreePorts.tcp(),
                FreePorts.tcp(),
                FreePorts.tcp(),
                FreePorts.tcp(),
                FreePorts.tcp(),
                FreePorts.tcp());
    }

    /** Has it run without root's rights, as it runs at a station; nothing changes when the tests have none themselves. */
    public YokebarProcess asNobody() throws IOException {
        if ("root".equals(System.getProperty("user.name"))) {
            runner = List.of("setpriv", "--reuid=65534", "--regid=65534", "--clear-groups");
            Files.createDirectories(home);
            for (Path folder = home.toAbsolutePath().getParent(); folder != null; folder = folder.getParent()) {
                if (Files.getPosixFilePermissions(folder).contains(PosixFilePermission.OTHERS_EXECUTE)) {
                    break;
                }
                Files.setPosixFilePermissions(folder, PosixFilePermissions.fromString("rwxr-xr-x"));
            }
            Files.setPosixFilePermissions(home, PosixFilePermissions.fromString("rwxrwxrwx"));
        }
        return this;
    }

    /** Where it looks for simulated serial ports. */
    public Path serialFolder() {
        return standInsHome().resolve("serial");
    }

    /** Where it looks for the simulated devices. */
    public StandIns.LoopbackPorts devices() {
        return devices;
    }

    /** The folder the stand-ins have beside its own. */
    public Path standInsHome() {
        return home.resolveSibling("stand-ins");
    }

    public int adifPort() {
        return adifPort;
    }

    public URI address() {
        return URI.create("http://127.0.0.1:" + port + "/");
    }

    public Path log() {
        return home.resolve("output.log");
    }

    /** Starts it and waits until it says it is ready. */
    public YokebarProcess start() throws IOException, InterruptedException {
        process = launch(home);
        Instant until = Instant.now().plus(START_WITHIN);
        while (!Files.readString(log()).contains("Yokebar is ready at")) {
            if (!process.isAlive() || Instant.now().isAfter(until)) {
                throw new IllegalStateException("Yokebar did not start:\n" + Files.readString(log()));
            }
            Thread.sleep(50);
        }
        if (Files.readString(log()).contains("Unable to use shared archive")) {
            throw new IllegalStateException("The class archive was not used:\n" + Files.readString(log()));
        }
        return this;
    }

    /** Starts a second one on the same folder, which must not work; gives what it said and its exit code. */
    public String startAnother() throws IOException, InterruptedException {
        Path said = home.resolve("second.log");
        Process second = command(said).start();
        if (!second.waitFor(60, TimeUnit.SECONDS)) {
            second.destroyForcibly();
            throw new IllegalStateException("the second one did not end");
        }
        return second.exitValue() + ": " + Files.readString(said);
    }

    /** Kills it as kill -9 does. */
    public void kill() throws InterruptedException {
        process.destroyForcibly();
        process.waitFor();
    }

    long pid() {
        return process.pid();
    }

    /** What a test leaves behind is thrown away, so it need not be ended properly. */
    @Override
    public void close() {
        process.destroyForcibly();
    }

    /** Ends it as Ctrl+C does. */
    public void end() {
        process.destroy();
        try {
            if (!process.waitFor(20, TimeUnit.SECONDS)) {
                process.destroyForcibly();
            }
        } catch (InterruptedException e) {
            process.destroyForcibly();
            Thread.currentThread().interrupt();
        }
    }

    public JsonNode get(String path) throws IOException, InterruptedException {
        return JSON.readTree(text(path));
    }

    public String text(String path) throws IOException, InterruptedException {
        HttpRequest request = HttpRequest.newBuilder(address().resolve(path))
                .timeout(Duration.ofSeconds(60))
                .build();
        return http.send(request, HttpResponse.BodyHandlers.ofString()).body();
    }

    /** Posts something as JSON text; gives the answer. */
    public JsonNode post(String path, String json) throws IOException, InterruptedException {
        return send("POST", path, json);
    }

    public JsonNode put(String path, String json) throws IOException, InterruptedException {
        return send("PUT", path, json);
    }

    private JsonNode send(String method, String path, String json) throws IOException, InterruptedException {
        HttpRequest request = HttpRequest.newBuilder(address().resolve(path))
                .header("Content-Type", "application/json")
                .method(method, HttpRequest.BodyPublishers.ofString(json))
                .build();
        HttpResponse<String> answer = http.send(request, HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() != 200) {
            throw new IOException(path + ": " + answer.body());
        }
        return JSON.readTree(answer.body());
    }

    /** Imports made-up contacts, each of them another one; gives the answer. */
    public JsonNode importContacts(int from, int until) throws IOException, InterruptedException {
        HttpResponse<String> answer = http.send(importing(from, until), HttpResponse.BodyHandlers.ofString());
        if (answer.statusCode() != 200) {
            throw new IOException(answer.body());
        }
        return JSON.readTree(answer.body());
    }

    /** The same without waiting for it. */
    public CompletableFuture<HttpResponse<String>> importContactsLater(int from, int until) {
        return http.sendAsync(importing(from, until), HttpResponse.BodyHandlers.ofString());
    }

    private HttpRequest importing(int from, int until) {
        StringBuilder adi = new StringBuilder("<EOH>");
        for (int i = from; i < until; i++) {
            String call = "K" + i % 10 + "Q" + (char) ('A' + i / 10 % 26) + (char) ('A' + i / 260 % 26);
            adi.append("<CALL:5>")
                    .append(call)
                    .append("<QSO_DATE:8>2026")
                    .append("%02d%02d".formatted(i / 1000 % 10 + 1, i / 10_000 + 1))
                    .append("<TIME_ON:6>")
                    .append("%02d%02d%02d".formatted(i / 60 % 24, i % 60, i % 60))
                    .append(i % 3 == 0 ? "<BAND:3>40m" : "<BAND:3>20m")
                    .append("<MODE:2>CW<STATION_CALLSIGN:6>CU9QYB<EOR>\n");
        }
        String head = "--part\r\nContent-Disposition: form-data; name=\"file\"; filename=\"a.adi\"\r\n\r\n";
        return HttpRequest.newBuilder(address().resolve("api/imports"))
                .header("Content-Type", "multipart/form-data; boundary=part")
                .POST(HttpRequest.BodyPublishers.ofString(head + adi + "\r\n--part--\r\n", StandardCharsets.UTF_8))
                .build();
    }

    private Process launch(Path folder) throws IOException, InterruptedException {
        unpack();
        Files.createDirectories(folder);
        Files.deleteIfExists(log());
        return command(log()).start();
    }

    /** As {@code ./yokebar start} does it. */
    private boolean isLong() throws IOException {
        Path database = home.resolve("log.mv.db");
        return Files.exists(database) && Files.size(database) > 200 << 20;
    }

    private ProcessBuilder command(Path output) throws IOException {
        List<String> command = new ArrayList<>(runner);
        command.add(java());
        command.addAll(QUICK);
        command.addAll(List.of(
                "-Xmx700m",
                "-Xmn100m",
                "-XX:MetaspaceSize=128m",
                "-Xms" + (isLong() ? "700m" : "128m"),
                "-XX:SharedArchiveFile=" + ARCHIVE,
                "-Xshare:auto",
                "-Dspring.aot.enabled=true",
                "-jar",
                UNPACKED + "/yokebar-exec.jar"));
        ProcessBuilder builder =
                new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(output.toFile());
        builder.environment().put("YOKEBAR_HOME", home.toString());
        builder.environment().put("YOKEBAR_PORT", String.valueOf(port));
        builder.environment().put("YOKEBAR_ADIF_UDP_PORT", String.valueOf(adifPort));
        builder.environment().put("YOKEBAR_ADIF_TCP_PORT", "0");
        builder.environment().put("YOKEBAR_LINK_PORT", "0");
        builder.environment().put("YOKEBAR_RADIO_SHARE_PORT", String.valueOf(sharePort));
        builder.environment().put("YOKEBAR_SERIAL_FOLDER", serialFolder().toString());
        builder.environment()
                .put(
                        "YOKEBAR_SIMULATED_DEVICES",
                        IntStream.of(devices.hfRadio(), devices.vhfRadio(), devices.rotator())
                                .mapToObj(device -> "127.0.0.1:" + device)
                                .collect(Collectors.joining(",")));
        return builder;
    }

    /** Unpacked, it starts quicker, and the tests start it often. */
    private static synchronized void unpack() throws IOException, InterruptedException {
        Files.createDirectories(UNPACKED.getParent());
        // Two processes run tests at a time; the second waits until the first has unpacked it.
        try (FileChannel channel = FileChannel.open(
                        UNPACKED.resolveSibling("unpacking"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
                FileLock alone = channel.lock()) {
            unpackIfStale();
        }
    }

    private static void unpackIfStale() throws IOException, InterruptedException {
        if (Files.exists(ARCHIVE)
                && Files.getLastModifiedTime(ARCHIVE).compareTo(Files.getLastModifiedTime(JAR)) >= 0) {
            return;
        }
        // From then on nothing may touch what was unpacked: Java refuses an archive made of a jar of another time.
        Files.deleteIfExists(ARCHIVE);
        Process extract = new ProcessBuilder(
                        java(),
                        "-Djarmode=tools",
                        "-jar",
                        JAR.toString(),
                        "extract",
                        "--force",
                        "--destination",
                        UNPACKED.toString())
                .inheritIO()
                .start();
        if (extract.waitFor() != 0) {
            throw new IllegalStateException(JAR + " could not be unpacked; build the application first");
        }
        archiveClasses();
        if (!Files.exists(ARCHIVE)) {
            throw new IllegalStateException("no class archive was made in " + UNPACKED);
        }
    }

    /** One start whose classes are kept, as the script does; every other start is quicker for it. */
    private static void archiveClasses() throws IOException, InterruptedException {
        Path home = Files.createTempDirectory("yokebar-archive");
        Path said = home.resolve("said");
        List<String> command = new ArrayList<>(List.of(java()));
        command.addAll(QUICK);
        command.addAll(List.of(
                "-XX:ArchiveClassesAtExit=" + ARCHIVE,
                "-Dspring.aot.enabled=true",
                "-jar",
                UNPACKED + "/yokebar-exec.jar"));
        ProcessBuilder builder =
                new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(said.toFile());
        builder.environment().put("YOKEBAR_HOME", home.resolve("log").toString());
        for (String port : List.of("PORT", "ADIF_UDP_PORT", "ADIF_TCP_PORT", "LINK_PORT", "RADIO_SHARE_PORT")) {
            builder.environment().put("YOKEBAR_" + port, "0");
        }
        Process training = builder.start();
        Instant until = Instant.now().plus(START_WITHIN);
        while (training.isAlive()
                && Instant.now().isBefore(until)
                && !Files.readString(said).contains("Yokebar is ready at")) {
            Thread.sleep(50);
        }
        training.destroy();
        training.waitFor();
    }

    private static String java() {
        return Path.of(System.getProperty("java.home"), "bin", "java").toString();
    }
}
