package yokebar.standins.device;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;

/**
 * The rotator "Windrose": Easycomm II, once round with its stop at south, and elevation. It really takes time to turn: the
 * angle follows from the time since the last command.
 */
public final class Rotator implements AutoCloseable {
    private static final double STOP_DEGREES = 180;
    private static final double TRAVEL_DEGREES = 360;

    private final DeviceServer server;
    /** Position counted clockwise from the stop, 180 to 540; where it stood at {@link #sinceNanos}. */
    private double position = 360;

    private double target = 360;
    private double elevation;
    private double degreesPerSecond = 12;
    private boolean stuck;
    private long sinceNanos = System.nanoTime();

    /** @param port 0 for any free port */
    public Rotator(int port) throws IOException {
        server = new DeviceServer("windrose", port, line -> new Talk());
        server.plugIn();
    }

    public int port() {
        return server.port();
    }

    public void setPowered(boolean on) {
        server.setPowered(on);
    }

    public void setPlugged(boolean in) throws IOException {
        if (in) {
            server.plugIn();
        } else {
            server.unplug();
        }
    }

    /** How fast it turns from now on. */
    public synchronized void setSpeed(double speed) {
        settle();
        degreesPerSecond = speed;
    }

    /** As with ice on the mast: it takes commands and stays where it is. */
    public synchronized void setStuck(boolean on) {
        settle();
        stuck = on;
    }

    /** The angle it shows now, 0 to under 360. */
    public synchronized double angle() {
        settle();
        return position % 360;
    }

    /** How far it has to go round its stop; for tests that it took the right way. */
    public synchronized double position() {
        settle();
        return position;
    }

    /** Whether it has not come to where it was told to go. */
    public synchronized boolean turning() {
        settle();
        return position != target;
    }

    public synchronized Map<String, Object> state() {
        Map<String, Object> state = new LinkedHashMap<>();
        state.put("angle", Math.round(angle() * 10) / 10.0);
        state.put("target", Math.round(target % 360 * 10) / 10.0);
        state.put("speed", degreesPerSecond);
        state.put("stuck", stuck);
        state.put("powered", server.powered());
        state.put("plugged", server.plugged());
        return state;
    }

    @Override
    public void close() {
        server.close();
    }

    private void settle() {
        long now = System.nanoTime();
        double step = (now - sinceNanos) / 1e9 * degreesPerSecond;
        sinceNanos = now;
        if (!stuck && server.powered()) {
            double way = target - position;
            position += Math.signum(way) * Math.min(Math.abs(way), step);
        }
    }

    private synchronized void turnTo(double angle) {
        settle();
        double within = ((angle - STOP_DEGREES) % 360 + 360) % 360;
        target = Math.min(STOP_DEGREES + within, STOP_DEGREES + TRAVEL_DEGREES);
    }

    private synchronized void stop() {
        settle();
        target = position;
    }

    private synchronized String azimuth() {
        return String.format(Locale.ROOT, "AZ%.1f", angle());
    }

    private synchronized String elevation() {
        return String.format(Locale.ROOT, "EL%.1f", elevation);
    }

    private synchronized void raiseTo(double angle) {
        elevation = Math.max(0, Math.min(180, angle));
    }

    private final class Talk implements DeviceServer.Talk {
        private final StringBuilder word = new StringBuilder();
        private final StringBuilder answers = new StringBuilder();

        @Override
        public byte[] take(byte b) {
            if (b > ' ') {
                if (word.length() < 40) {
                    word.append((char) b);
                }
                return new byte[0];
            }
            obey(word.toString());
            word.setLength(0);
            if (b != '\n' || answers.isEmpty()) {
                return new byte[0];
            }
            byte[] line = (answers.toString().strip() + "\n").getBytes(StandardCharsets.US_ASCII);
            answers.setLength(0);
            return line;
        }

        private void obey(String command) {
            try {
                if (command.equals("AZ")) {
                    answers.append(azimuth()).append(' ');
                } else if (command.equals("EL")) {
                    answers.append(elevation()).append(' ');
                } else if (command.startsWith("AZ")) {
                    turnTo(Double.parseDouble(command.substring(2)));
                } else if (command.startsWith("EL")) {
                    raiseTo(Double.parseDouble(command.substring(2)));
                } else if (command.equals("SA") || command.equals("SE")) {
                    stop();
                } else if (command.equals("VE")) {
                    answers.append("VEWindrose-1 ");
                }
            } catch (NumberFormatException e) {
                System.err.println("windrose: " + command + " makes no sense");
            }
        }
    }
}
