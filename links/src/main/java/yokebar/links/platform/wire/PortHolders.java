package yokebar.links.platform.wire;

import java.io.IOException;
import java.nio.file.DirectoryStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Which other processes have a device file open, as far as the system lets us see (Linux: {@code /proc}). */
final class PortHolders {
    private static final Path PROCESSES = Path.of("/proc");

    private PortHolders() {}

    /** The names and numbers of the processes. */
    static List<String> of(Path device) {
        List<String> holders = new ArrayList<>();
        String self = String.valueOf(ProcessHandle.current().pid());
        try {
            Path real = device.toRealPath();
            try (DirectoryStream<Path> processes = Files.newDirectoryStream(PROCESSES, "[0-9]*")) {
                for (Path process : processes) {
                    String number = process.getFileName().toString();
                    if (!number.equals(self) && holds(process, real)) {
                        holders.add(name(process) + " (process " + number + ")");
                    }
                }
            }
        } catch (IOException e) {
            // No such system, or the port vanished meanwhile: then nobody is known to hold it.
            return List.of();
        }
        return holders;
    }

    /** Whether this very program has the device open. */
    static boolean heldBySelf(Path device) {
        try {
            return holds(PROCESSES.resolve("self"), device.toRealPath());
        } catch (IOException e) {
            return false;
        }
    }

    private static boolean holds(Path process, Path device) {
        boolean holds = false;
        boolean makesTerminals = false;
        try (DirectoryStream<Path> files = Files.newDirectoryStream(process.resolve("fd"))) {
            for (Path file : files) {
                Path open = Files.isSymbolicLink(file) ? Files.readSymbolicLink(file) : file;
                holds |= open.equals(device);
                makesTerminals |= open.endsWith("ptmx");
            }
        } catch (IOException e) {
            // Another user's process, or one that just ended.
            return false;
        }
        // A program that holds both ends of a pseudo-terminal is the device behind it and no rival.
        return holds && !(makesTerminals && device.startsWith("/dev/pts"));
    }

    private static String name(Path process) {
        try {
            return Files.readString(process.resolve("comm")).strip();
        } catch (IOException e) {
            return "a program";
        }
    }
}
