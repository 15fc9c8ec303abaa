package yokebar.links.fake;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.Socket;
import java.util.Map;
import java.util.TreeMap;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;

/**
 * Several radios on one line, written from the description of framed binary CAT alone. What is sent comes back as an echo, and
 * whoever is spoken to while another one is still answering is a collision.
 */
public final class FakeBus extends FakeDevice {
    private static final long IN_TIME_NANOS = TimeUnit.MILLISECONDS.toNanos(200);
    /** Sentences after a late answer that may still collide. */
    private static final int CONFUSED_FOR = 4;

    private static final long LATE_MS = 600;

    private final Map<Integer, Long> frequencies = new TreeMap<>();
    private final AtomicInteger collisions = new AtomicInteger();
    private volatile boolean transmits;
    private volatile long answerMs = 15;
    private final AtomicInteger lateAnswers = new AtomicInteger();

    public FakeBus(Map<Integer, Long> radios) throws IOException {
        super(0);
        frequencies.putAll(radios);
        begin();
    }

    public int collisions() {
        return collisions.get();
    }

    public boolean transmits() {
        return transmits;
    }

    public void answerAfter(long ms) {
        answerMs = ms;
    }

    /** The next answer comes so late that nobody waits for it any more. */
    public void answerLateOnce() {
        lateAnswers.incrementAndGet();
    }

    public boolean wasLate() {
        return lateAnswers.get() == 0;
    }

    public synchronized long frequency(int radio) {
        return frequencies.get(radio);
    }

    @Override
    protected void converse(Socket open) throws IOException, InterruptedException {
        InputStream in = open.getInputStream();
        int confused = 0;
        ByteArrayOutputStream frame = new ByteArrayOutputStream();
        for (int b = in.read(); b >= 0; b = in.read()) {
            frame.write(b);
            if (b == 0xFD) {
                byte[] sent = frame.toByteArray();
                frame.reset();
                open.getOutputStream().write(sent);
                long from = System.nanoTime();
                boolean late = lateAnswers.get() > 0;
                Thread.sleep(late ? LATE_MS : answerMs);
                // Whoever is not answered in time may speak to another radio; then it must find its turn again.
                boolean inTime = System.nanoTime() - from < IN_TIME_NANOS;
                confused = inTime ? Math.max(0, confused - 1) : CONFUSED_FOR;
                if (in.available() > 0 && confused == 0) {
                    collisions.incrementAndGet();
                }
                if (late) {
                    lateAnswers.decrementAndGet();
                }
                byte[] answer = answer(sent);
                if (answer != null) {
                    open.getOutputStream().write(answer);
                }
            }
        }
    }

    private synchronized byte[] answer(byte[] sent) {
        int to = sent[2] & 0xff;
        if (!frequencies.containsKey(to)) {
            return null;
        }
        int command = sent[4] & 0xff;
        switch (command) {
            case 0x03 -> {
                return frame(to, 0x03, bcd(frequencies.get(to)));
            }
            case 0x05 -> {
                frequencies.put(to, number(sent));
                return frame(to, 0xFB);
            }
            case 0x04 -> {
                return frame(to, 0x04, 0x01, 0x01);
            }
            case 0x0F -> {
                return frame(to, 0x0F, 0x00);
            }
            case 0x1C -> {
                if (sent.length > 7) {
                    transmits = sent[6] == 1;
                    return frame(to, 0xFB);
                }
                return frame(to, 0x1C, 0x00, transmits ? 1 : 0);
            }
            default -> {
                return frame(to, 0xFA);
            }
        }
    }

    private static int[] bcd(long hz) {
        int[] digits = new int[5];
        long rest = hz;
        for (int i = 0; i < 5; i++) {
            digits[i] = (int) (rest / 10 % 10 * 16 + rest % 10);
            rest /= 100;
        }
        return digits;
    }

    private static long number(byte[] sent) {
        long hz = 0;
        for (int i = 9; i >= 5; i--) {
            hz = hz * 100 + (sent[i] >> 4 & 0xf) * 10L + (sent[i] & 0xf);
        }
        return hz;
    }

    private static byte[] frame(int from, int command, int... data) {
        byte[] all = new byte[6 + data.length];
        all[0] = (byte) 0xFE;
        all[1] = (byte) 0xFE;
        all[2] = (byte) 0xE0;
        all[3] = (byte) from;
        all[4] = (byte) command;
        for (int i = 0; i < data.length; i++) {
            all[5 + i] = (byte) data[i];
        }
        all[all.length - 1] = (byte) 0xFD;
        return all;
    }
}
