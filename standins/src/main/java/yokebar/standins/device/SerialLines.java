package yokebar.standins.device;

import java.io.IOException;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.Map;

/** The serial ports the simulated devices are on besides TCP, where socat is there to make them. */
public final class SerialLines implements AutoCloseable {
    private final Map<String, SerialLine> byDevice = new LinkedHashMap<>();

    /**
     * @param folder where the ports appear
     * @param devicePorts the TCP port of each device by its name
     */
    public SerialLines(Path folder, Map<String, Integer> devicePorts) throws IOException, InterruptedException {
        for (Map.Entry<String, Integer> device : devicePorts.entrySet()) {
            SerialLine line = new SerialLine(folder.resolve(device.getKey()), device.getValue());
            line.plugIn();
            byDevice.put(device.getKey(), line);
        }
    }

    /** Its cable was put back, over which socat had lost it. Nothing happens where there is no such port. */
    public void pluggedIn(String device) throws IOException {
        SerialLine line = byDevice.get(device);
        if (line != null) {
            try {
                line.unplug();
                line.plugIn();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }
    }

    /** For the eye: where each port is. */
    public Map<String, String> paths() {
        Map<String, String> paths = new LinkedHashMap<>();
        byDevice.forEach((device, line) -> paths.put(device, line.path().toString()));
        return paths;
    }

    @Override
    public void close() {
        byDevice.values().forEach(SerialLine::close);
    }
}
