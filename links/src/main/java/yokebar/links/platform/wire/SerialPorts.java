package yokebar.links.platform.wire;

import com.fazecast.jSerialComm.SerialPort;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;

/** The serial ports of this computer. */
public final class SerialPorts {
    private SerialPorts() {}

    /**
     * A serial port.
     *
     * @param description what the system says of it, such as the name of the cable's chip
     */
    public record Found(String path, String description) {}

    /** Those that are there now. */
    public static List<Found> list() {
        return Arrays.stream(SerialPort.getCommPorts())
                .map(port -> new Found(port.getSystemPortPath(), port.getPortDescription()))
                .sorted(Comparator.comparing(Found::path))
                .toList();
    }
}
