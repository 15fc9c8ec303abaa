package yokebar.links.platform.wire;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.PosixFileAttributes;
import java.util.List;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** Tells apart why a serial port cannot be had. */
final class SerialFaults {
    private SerialFaults() {}

    /** What can be seen without opening the port; null when nothing speaks against it. */
    static @Nullable LinkFault beforeOpening(String path) {
        return beforeOpening(path, port -> Files.isReadable(port) && Files.isWritable(port));
    }

    /** @param permitted whether we may read and write a file; to root everything is permitted */
    static @Nullable LinkFault beforeOpening(String path, Predicate<Path> permitted) {
        Path port = Path.of(path);
        if (!Files.exists(port)) {
            return noSuchPort(path);
        }
        return permitted.test(port) ? heldBy(path) : noPermission(path);
    }

    static LinkFault noSuchPort(String path) {
        List<String> there =
                SerialPorts.list().stream().map(SerialPorts.Found::path).toList();
        return new LinkFault(
                LinkFault.Kind.NO_SUCH_PORT,
                "There is no serial port " + path + ".",
                there.isEmpty()
                        ? "This computer shows no serial port at all. Is the cable plugged in?"
                        : "There are: " + String.join(", ", there) + ". Is the cable in, or is it one of these?",
                null);
    }

    private static LinkFault noPermission(String path) {
        String user = System.getProperty("user.name");
        String group = group(path);
        return new LinkFault(
                LinkFault.Kind.NO_PERMISSION,
                "You may not use " + path + (group == null ? "." : ": it belongs to the group " + group + "."),
                "Run: sudo usermod -aG " + (group == null ? "dialout" : group) + " " + user + " and log in again.",
                null);
    }

    private static @Nullable String group(String path) {
        try {
            return Files.readAttributes(Path.of(path), PosixFileAttributes.class)
                    .group()
                    .getName();
        } catch (IOException | UnsupportedOperationException e) {
            return null;
        }
    }

    private static @Nullable LinkFault heldBy(String path) {
        List<String> holders = PortHolders.of(Path.of(path));
        if (holders.isEmpty()) {
            return null;
        }
        return new LinkFault(
                LinkFault.Kind.PORT_HELD,
                path + " is in use by " + holders.stream().distinct().collect(Collectors.joining(" and ")) + ".",
                "Close that program, or let it use the radio through Yokebar's sharing port.",
                null);
    }

    static LinkFault afterOpeningFailed(String path, int systemError) {
        LinkFault held = heldBy(path);
        if (held != null) {
            return held;
        }
        if (PortHolders.heldBySelf(Path.of(path))) {
            return new LinkFault(
                    LinkFault.Kind.PORT_HELD,
                    "Yokebar itself uses " + path + " for another device.",
                    "Give each device its own port, or disconnect the other one.",
                    null);
        }
        // 16 EBUSY and 11 EAGAIN: somebody has locked it whom we may not see; 13 EACCES: no permission.
        return switch (systemError) {
            case 11, 16 ->
                new LinkFault(
                        LinkFault.Kind.PORT_HELD,
                        path + " is in use by another program.",
                        "Close that program, or let it use the radio through Yokebar's sharing port.",
                        null);
            case 13 -> noPermission(path);
            default ->
                new LinkFault(
                        LinkFault.Kind.CANNOT_OPEN,
                        path + " cannot be opened (system error " + systemError + ").",
                        "Is it a serial port? Unplug the cable, plug it in again, and try another.",
                        null);
        };
    }
}
