package yokebar.app.sources.radio;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import yokebar.links.sources.radio.KeyRescue;

/** How the process that outlives a crash is started: from the same files as this one, and as small as can be. */
final class RescueCommand {
    private static final List<String> SMALL =
            List.of("-Xmx24m", "-XX:+UseSerialGC", "-XX:TieredStopAtLevel=1", "-XX:ReservedCodeCacheSize=8m");

    private RescueCommand() {}

    static List<String> command() {
        List<String> command = new ArrayList<>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        command.addAll(SMALL);
        if (inOneFile()) {
            command.add("-Dloader.main=" + KeyRescue.class.getName());
        }
        command.add("-cp");
        command.add(System.getProperty("java.class.path"));
        command.add(
                inOneFile() ? "org.springframework.boot.loader.launch.PropertiesLauncher" : KeyRescue.class.getName());
        return command;
    }

    /** Whether the libraries are inside the application's file, where only its own loader finds them. */
    private static boolean inOneFile() {
        return "nested".equals(protocolOf(String.valueOf(KeyRescue.class.getResource("KeyRescue.class"))));
    }

    /** Of {@code jar:nested:...} it is nested. */
    private static String protocolOf(String resource) {
        String inner = resource.startsWith("jar:") ? resource.substring(4) : resource;
        return inner.substring(0, Math.max(0, inner.indexOf(':')));
    }
}
