package yokebar.e2e;

import java.io.IOException;
import java.net.DatagramSocket;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFilePermission;
import java.nio.file.attribute.PosixFilePermissions;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.standins.StandIns;

/** The packed application as a process of its own, on its own ports and folder; it can be killed and started again. */
public final class YokebarProcess implements AutoCloseable {
    private static final JsonMapper JSON = JsonMapper.builder().build();
    private static final Path JAR = Path.of(System.getProperty("yokebar.app.jar", "../app/target/yokebar-exec.jar"));
    /** Tests that run beside one another each unpack their own. */
    private static final Path UNPACKED =
            Path.of("target/unpacked" + System.getProperty("yokebar.fork", "")).toAbsolutePath();

    private static final Duration START_WITHIN = Duration.ofSeconds(120);

    private final HttpClient http = HttpClient.newHttpClient();
    private final Path home;
    private final int port;
    private final int adifPort;
    private final int sharePort;
    private final StandIns.DevicePorts devices;
    private List<String> runner = List.of();
    private Process process;

    public YokebarProcess(Path home) throws IOException {
        this.home = home;
        this.port = freeTcpPort();
        this.adifPort = freeUdpPort();
        this.sharePort = freeTcpPort();
        this.devices = new StandIns.DevicePorts(freeTcpPort(), freeTcpPort(), freeTcpPort(), freeUdpPort());
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
    public StandIns.DevicePorts devices() {
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
        return home.resolve("yokebar.log");
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

    @Override
    public void close() {
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

    private Process launch(Path folder) throws IOException, InterruptedException {
        unpack();
        Files.createDirectories(folder);
        Files.deleteIfExists(log());
        return command(log()).start();
    }

    private ProcessBuilder command(Path output) {
        List<String> command = new ArrayList<>(runner);
        command.addAll(
                List.of(java(), "-Xmx600m", "-Dspring.aot.enabled=true", "-jar", UNPACKED + "/yokebar-exec.jar"));
        ProcessBuilder builder =
                new ProcessBuilder(command).redirectErrorStream(true).redirectOutput(output.toFile());
        builder.environment().put("YOKEBAR_HOME", home.toString());
        builder.environment().put("YOKEBAR_PORT", String.valueOf(port));
        builder.environment().put("YOKEBAR_ADIF_UDP_PORT", String.valueOf(adifPort));
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
        Path jar = UNPACKED.resolve("yokebar-exec.jar");
        if (Files.exists(jar) && Files.getLastModifiedTime(jar).compareTo(Files.getLastModifiedTime(JAR)) >= 0) {
            return;
        }
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
        Files.setLastModifiedTime(jar, java.nio.file.attribute.FileTime.from(Instant.now()));
    }

    private static String java() {
        return Path.of(System.getProperty("java.home"), "bin", "java").toString();
    }

    private static int freeTcpPort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0)) {
            return socket.getLocalPort();
        }
    }

    private static int freeUdpPort() throws IOException {
        try (DatagramSocket socket = new DatagramSocket(0)) {
            return socket.getLocalPort();
        }
    }
}
