package yokebar.bench;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.URI;
import java.net.http.HttpClient;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * From starting the process to being ready, with a log of 100 000 contacts, against an empty Spring Boot web and JPA
 * application. Both are unpacked with their classes archived; runs alternate.
 */
public final class StartupFigures {
    private static final int CONTACTS = 100_000;
    private static final int RUNS = 7;
    private static final Path YOKEBAR = Path.of("target/run/app/yokebar.jar");
    private static final Path BLANK = Path.of("bench/blank-app/target/blank-app.jar");

    private StartupFigures() {}

    public static void main(String[] args) throws Exception {
        Path folder = Files.createTempDirectory("yokebar-bench");
        Path blank = unpackAndArchive(folder.resolve("blank"));
        Path home = folder.resolve("home");
        fill(home);
        double[] yokebarSeconds = new double[RUNS];
        double[] blankSeconds = new double[RUNS];
        for (int run = 0; run < RUNS; run++) {
            blankSeconds[run] = start(blank, folder, "Started BlankApplication", null);
            yokebarSeconds[run] = start(YOKEBAR, home, "Yokebar is ready at", null);
        }
        print("quickest", 0, yokebarSeconds, blankSeconds);
        print("median", RUNS / 2, yokebarSeconds, blankSeconds);
    }

    private static void print(String which, int place, double[] ours, double[] theirs) {
        Arrays.sort(ours);
        Arrays.sort(theirs);
        System.out.printf(
                "start to ready, %s: Yokebar with %,d contacts %.1f s; blank Spring Boot web + JPA %.1f s; ratio %.2f%n",
                which, CONTACTS, ours[place], theirs[place], ours[place] / theirs[place]);
    }

    private static void fill(Path home) throws Exception {
        start(YOKEBAR, home, "Yokebar is ready at", address -> {
            String answer = RunningYokebar.importText(HttpClient.newHttpClient(), address, SampleLog.adi(CONTACTS));
            if (!answer.contains("\"added\":" + CONTACTS)) {
                throw new IllegalStateException("the log could not be filled");
            }
        });
    }

    private static Path unpackAndArchive(Path folder) throws IOException, InterruptedException {
        run(List.of(
                "java", "-Djarmode=tools", "-jar", BLANK.toString(), "extract", "--destination", folder.toString()));
        Path jar = folder.resolve("blank-app.jar");
        run(List.of(
                "java",
                "-XX:+UseSerialGC",
                "-XX:ArchiveClassesAtExit=" + archive(jar),
                "-Dspring.context.exit=onRefresh",
                "-jar",
                jar.toString(),
                "--server.port=0"));
        return jar;
    }

    private static void run(List<String> command) throws IOException, InterruptedException {
        Process process = new ProcessBuilder(command)
                .redirectErrorStream(true)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .start();
        if (process.waitFor() != 0) {
            throw new IOException(command + " failed");
        }
    }

    /** What to do once it is ready, before it is stopped. */
    private interface WhenReady {
        void at(URI address) throws Exception;
    }

    /** Seconds from start to the line that says it is ready. */
    private static double start(Path jar, Path home, String readyLine, WhenReady whenReady) throws Exception {
        List<String> command = new ArrayList<>(List.of(
                "java",
                "-XX:+UseSerialGC",
                "-XX:SharedArchiveFile=" + archive(jar),
                "-Xmx700m",
                // As the yokebar script starts it; the blank application has no such definitions.
                "-Dspring.aot.enabled=" + jar.equals(YOKEBAR),
                "-jar",
                jar.toString(),
                "--server.port=0"));
        ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
        builder.environment().put("YOKEBAR_HOME", home.toString());
        builder.environment().put("YOKEBAR_ADIF_UDP_PORT", "0");
        builder.environment().put("YOKEBAR_ADIF_TCP_PORT", "0");
        builder.environment().put("YOKEBAR_LINK_PORT", "0");
        long start = System.nanoTime();
        Process process = builder.start();
        double seconds = -1;
        try (BufferedReader output =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8))) {
            for (String line = output.readLine(); line != null; line = output.readLine()) {
                if (line.contains(readyLine)) {
                    seconds = (System.nanoTime() - start) / 1e9;
                    if (whenReady != null) {
                        whenReady.at(
                                URI.create(line.substring(line.indexOf("http")).strip()));
                    }
                    break;
                }
            }
            process.destroy();
            process.waitFor();
        }
        if (seconds < 0) {
            throw new IOException(jar + " did not start");
        }
        return seconds;
    }

    private static String archive(Path jar) {
        return jar.toString().replace(".jar", ".jsa");
    }
}
