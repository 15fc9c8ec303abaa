package yokebar.links.fake;

import java.io.IOException;
import java.io.InputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.CopyOnWriteArrayList;

/** A rotator that works through lines of Easycomm II one after the other, each taking its time, and turns in steps. */
public final class FakeRotor extends FakeDevice {
    private final List<String> heard = new CopyOnWriteArrayList<>();
    private volatile long answerMs;
    private volatile double stepDegrees = 30;
    private volatile double restsShortBy;
    private volatile boolean speaksAzimuth = true;
    private double angle;
    private double target = Double.NaN;

    public FakeRotor(double angle) throws IOException {
        super(0);
        this.angle = angle;
        begin();
    }

    public void answerAfter(long ms) {
        answerMs = ms;
    }

    /** How far it turns from one question to the next, degrees. */
    public void step(double degrees) {
        stepDegrees = degrees;
    }

    /** How far before its target it stops, degrees. */
    public void restShortBy(double degrees) {
        restsShortBy = degrees;
    }

    public void speakAzimuth(boolean on) {
        speaksAzimuth = on;
    }

    public List<String> heard() {
        return List.copyOf(heard);
    }

    public synchronized boolean turns() {
        return !Double.isNaN(target);
    }

    public synchronized double angle() {
        return angle;
    }

    @Override
    protected void converse(Socket open) throws IOException, InterruptedException {
        InputStream in = open.getInputStream();
        StringBuilder line = new StringBuilder();
        for (int b = in.read(); b >= 0; b = in.read()) {
            if (b == '\n') {
                work(line.toString(), open);
                line.setLength(0);
            } else {
                line.append((char) b);
            }
        }
    }

    private void work(String line, Socket open) throws IOException, InterruptedException {
        Thread.sleep(answerMs);
        heard.add(line);
        String answer = "";
        synchronized (this) {
            if (line.startsWith("SA")) {
                target = Double.NaN;
            } else if (line.matches("AZ[0-9.]+")) {
                target = Double.parseDouble(line.substring(2));
            } else if (line.startsWith("AZ EL")) {
                turn();
                answer = speaksAzimuth ? String.format(Locale.ROOT, "AZ%.1f EL0.0\n", angle) : "EL0.0\n";
            }
        }
        open.getOutputStream().write(answer.getBytes(StandardCharsets.US_ASCII));
    }

    private void turn() {
        if (Double.isNaN(target)) {
            return;
        }
        double end = target > angle ? target - restsShortBy : target + restsShortBy;
        double way = end - angle;
        angle += Math.signum(way) * Math.min(stepDegrees, Math.abs(way));
        if (Math.abs(end - angle) < 0.01) {
            target = Double.NaN;
        }
    }
}
