package yokebar.standins.device;

import java.util.LinkedHashMap;
import java.util.Map;

/** The knobs and lamps of a simulated radio, whatever it speaks to the computer. Thread-safe. */
public final class RadioFront {
    /** Of what was keyed nothing older is kept, characters. */
    private static final int MAX_KEYED = 100_000;

    private final long lowestHz;
    private final long highestHz;
    private final int fullPowerW;
    private long vfoAHz;
    private long vfoBHz;
    private boolean receivesOnB;
    private boolean split;
    private String mode = "USB";
    private boolean data;
    private int powerW;
    private boolean transmitting;
    private String keyed = "";
    private int wordsPerMinute = 30;
    private int keyerTempo = 1;
    /** Until when the keyer sends, by {@link System#nanoTime()}. */
    private long keyerEnds;

    private boolean keyerSends;
    private Runnable listener = () -> {};

    RadioFront(long lowestHz, long highestHz, int fullPowerW, long startHz) {
        this.lowestHz = lowestHz;
        this.highestHz = highestHz;
        this.fullPowerW = fullPowerW;
        this.powerW = fullPowerW;
        this.vfoAHz = startHz;
        this.vfoBHz = startHz;
    }

    /** Told after every change, whoever made it. */
    void onChange(Runnable listener) {
        this.listener = listener;
    }

    /** @return false when the radio does not go there */
    public boolean tune(boolean vfoB, long hz) {
        synchronized (this) {
            if (hz < lowestHz || hz > highestHz) {
                return false;
            }
            if (vfoB) {
                vfoBHz = hz;
            } else {
                vfoAHz = hz;
            }
        }
        listener.run();
        return true;
    }

    /** Turns the knob by so many Hz. */
    public void turn(long byHz) {
        tune(receivesOnB(), frequencyHz() + byHz);
    }

    /** @param name LSB, USB, CW, FM, AM, RTTY, CW-R or RTTY-R */
    public boolean setMode(String name) {
        if (!java.util.Set.of("LSB", "USB", "CW", "FM", "AM", "RTTY", "CW-R", "RTTY-R")
                .contains(name)) {
            return false;
        }
        synchronized (this) {
            mode = name;
        }
        listener.run();
        return true;
    }

    public void setData(boolean on) {
        synchronized (this) {
            data = on;
        }
        listener.run();
    }

    /** @return false when it cannot do that much */
    public boolean setPowerW(int watts) {
        synchronized (this) {
            if (watts < 0 || watts > fullPowerW) {
                return false;
            }
            powerW = watts;
        }
        listener.run();
        return true;
    }

    public void setSplit(boolean on) {
        synchronized (this) {
            split = on;
        }
        listener.run();
    }

    public void receiveOnB(boolean on) {
        synchronized (this) {
            receivesOnB = on;
        }
        listener.run();
    }

    public void key(boolean on) {
        synchronized (this) {
            transmitting = on;
            keyerSends &= on;
        }
        listener.run();
    }

    /** Sends a text with its keyer, which transmits by itself; setting it to receive ends that. */
    void keyText(String text) {
        synchronized (this) {
            keyed += text;
            keyed = keyed.substring(Math.max(0, keyed.length() - MAX_KEYED));
            long now = System.nanoTime();
            long from = keyerSends && keyerEnds - now > 0 ? keyerEnds : now;
            keyerEnds = from + MorseTime.of(text, wordsPerMinute).toNanos() / keyerTempo;
            keyerSends = true;
        }
        listener.run();
    }

    /** Lets the keyer's time pass so many times faster. */
    public synchronized void setKeyerTempo(int factor) {
        keyerTempo = factor;
    }

    /** @return false when it does not go so fast or so slowly */
    synchronized boolean setKeyerSpeed(int wordsPerMinute) {
        boolean can = wordsPerMinute >= 4 && wordsPerMinute <= 60;
        this.wordsPerMinute = can ? wordsPerMinute : this.wordsPerMinute;
        return can;
    }

    /** Words of the length of PARIS a minute. */
    public synchronized int keyerSpeed() {
        return wordsPerMinute;
    }

    public synchronized String keyedText() {
        return keyed;
    }

    public synchronized long frequencyHz() {
        return receivesOnB ? vfoBHz : vfoAHz;
    }

    public synchronized long vfoHz(boolean vfoB) {
        return vfoB ? vfoBHz : vfoAHz;
    }

    public synchronized boolean receivesOnB() {
        return receivesOnB;
    }

    public synchronized boolean split() {
        return split;
    }

    public synchronized String mode() {
        return mode;
    }

    public synchronized boolean data() {
        return data;
    }

    public synchronized int powerW() {
        return powerW;
    }

    public int fullPowerW() {
        return fullPowerW;
    }

    public synchronized boolean transmitting() {
        return transmitting || keyerSends && keyerEnds - System.nanoTime() > 0;
    }

    /** The meter, 0 to 30: the band's noise breathes a little, a transmission shows its power. */
    public synchronized int meter() {
        return transmitting() ? powerW * 30 / fullPowerW : 5 + (int) (System.nanoTime() / 400_000_000L % 4);
    }

    synchronized Map<String, Object> state() {
        Map<String, Object> state = new LinkedHashMap<>();
        state.put("hz", frequencyHz());
        state.put("mode", data ? "DATA-" + mode.charAt(0) : mode);
        state.put("powerW", powerW);
        state.put("transmitting", transmitting());
        state.put("split", split);
        return state;
    }
}
