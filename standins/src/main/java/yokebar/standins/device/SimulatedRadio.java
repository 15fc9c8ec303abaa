package yokebar.standins.device;

import java.io.IOException;
import java.util.LinkedHashMap;
import java.util.Map;

/** A radio of the stand-ins: its front, and the line it speaks over in whatever dialect. */
public abstract class SimulatedRadio implements AutoCloseable {
    private final RadioFront front;
    private final DeviceServer server;

    /** @param port 0 for any free port */
    SimulatedRadio(String name, RadioFront front, int port) {
        this.front = front;
        this.server = new DeviceServer(name, port, this::talk);
        front.onChange(() -> server.tellAll(this::news));
    }

    /** Takes up a conversation over a new line. */
    abstract DeviceServer.Talk talk(DeviceServer.Line line);

    /** What a line is told when somebody turned a knob; empty for nothing. */
    abstract byte[] news(DeviceServer.Line line);

    /** To be called once, when the radio is ready to talk. */
    final void switchOn() throws IOException {
        server.plugIn();
    }

    public final RadioFront front() {
        return front;
    }

    public final int port() {
        return server.port();
    }

    /** Without power it stays connected and says nothing. */
    public final void setPowered(boolean on) {
        server.setPowered(on);
    }

    /** As with the wrong speed: what it says is noise. */
    public final void setGarbled(boolean on) {
        server.setGarbled(on);
    }

    public final void setPlugged(boolean in) throws IOException {
        if (in) {
            server.plugIn();
        } else {
            server.unplug();
        }
    }

    /** For the eye. */
    public final Map<String, Object> state() {
        Map<String, Object> state = new LinkedHashMap<>(front.state());
        state.put("powered", server.powered());
        state.put("plugged", server.plugged());
        state.put("garbled", server.garbled());
        return state;
    }

    @Override
    public final void close() {
        server.close();
    }
}
