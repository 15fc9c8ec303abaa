package yokebar.links.fake;

import java.io.IOException;
import java.io.InputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;

/**
 * A radio on a TCP port, written from the description of semicolon CAT alone: it works through what it is sent one sentence
 * after the other, each taking {@link #answerMs}. It keeps a clock of its own of when it transmitted. One connection at a time.
 */
public final class FakeRadio extends FakeDevice {
    /** One transmission; {@code to} is 0 while it goes on; times in ns. */
    public record Transmission(long from, long to) {
        public long ms() {
            return ((to == 0 ? System.nanoTime() : to) - from) / 1_000_000;
        }
    }

    /**
     * What it was set to from then on.
     *
     * @param at ns
     */
    public record Setting(long at, long hz, char mode, int watts) {}

    private final Random random = new Random(7);
    private final List<Setting> settings = new ArrayList<>();
    private final List<Transmission> transmissions = new CopyOnWriteArrayList<>();
    private final List<String> heard = new CopyOnWriteArrayList<>();
    private volatile long answerMs;
    private volatile Predicate<String> refuses = sentence -> false;
    private volatile Predicate<String> ignores = sentence -> false;
    private volatile UnaryOperator<String> bends = answer -> answer;
    private volatile boolean fragments;

    private long vfoA = 14_025_000;
    private long vfoB = 14_030_000;
    private char mode = '3';
    private boolean data;
    private boolean split;
    private boolean onB;
    private int watts = 80;
    private boolean transmits;
    private boolean pushes;

    public FakeRadio() throws IOException {
        this(0);
    }

    public FakeRadio(int port) throws IOException {
        super(port);
        note();
        begin();
    }

    /** How long each sentence takes, ms. */
    public void answerAfter(long ms) {
        answerMs = ms;
    }

    public void refuse(Predicate<String> sentences) {
        refuses = sentences;
    }

    public void ignore(Predicate<String> sentences) {
        ignores = sentences;
    }

    /** Changes answers before they are sent. */
    public void bend(UnaryOperator<String> change) {
        bends = change;
    }

    public void fragment(boolean on) {
        fragments = on;
    }

    public List<Transmission> transmissions() {
        return List.copyOf(transmissions);
    }

    public long longestMs() {
        return transmissions.stream().mapToLong(Transmission::ms).max().orElse(0);
    }

    public List<String> heard() {
        return List.copyOf(heard);
    }

    public void forgetHeard() {
        heard.clear();
    }

    public synchronized boolean transmits() {
        return transmits;
    }

    public synchronized long vfoA() {
        return vfoA;
    }

    public synchronized char mode() {
        return mode;
    }

    public synchronized int watts() {
        return watts;
    }

    public synchronized void turnTo(long hz) {
        vfoA = hz;
        note();
    }

    public synchronized void setMode(char figure) {
        mode = figure;
        note();
    }

    public synchronized void setWatts(int power) {
        watts = power;
        note();
    }

    private void note() {
        settings.add(new Setting(System.nanoTime(), vfoA, mode, watts));
    }

    /** All it was ever set to, in order. */
    public synchronized List<Setting> settings() {
        return List.copyOf(settings);
    }

    public synchronized void setData(boolean on) {
        data = on;
    }

    /** The key at the radio itself. */
    public synchronized void key(boolean on) {
        if (on && !transmits) {
            transmissions.add(new Transmission(System.nanoTime(), 0));
        } else if (!on && transmits) {
            int last = transmissions.size() - 1;
            transmissions.set(last, new Transmission(transmissions.get(last).from(), System.nanoTime()));
        }
        transmits = on;
    }

    @Override
    protected void converse(Socket open) throws IOException, InterruptedException {
        pushes = false;
        InputStream in = open.getInputStream();
        StringBuilder sentence = new StringBuilder();
        for (int b = in.read(); b >= 0; b = in.read()) {
            if (b != ';') {
                sentence.append((char) b);
                continue;
            }
            String text = sentence.toString();
            sentence.setLength(0);
            heard.add(text);
            if (answerMs > 0) {
                Thread.sleep(answerMs);
            }
            if (refuses.test(text)) {
                say(open, "?;");
            } else if (!ignores.test(text)) {
                say(open, bends.apply(work(text)));
            }
        }
    }

    private void say(Socket open, String text) throws IOException, InterruptedException {
        byte[] bytes = text.getBytes(StandardCharsets.US_ASCII);
        if (!fragments || bytes.length < 2) {
            open.getOutputStream().write(bytes);
            return;
        }
        int cut = 1 + random.nextInt(bytes.length - 1);
        open.getOutputStream().write(bytes, 0, cut);
        Thread.sleep(random.nextInt(30));
        open.getOutputStream().write(bytes, cut, bytes.length - cut);
    }

    private synchronized String work(String text) {
        String letters = text.length() < 2 ? "" : text.substring(0, 2);
        String rest = text.length() < 2 ? "" : text.substring(2);
        switch (letters) {
            case "FA", "FB" -> {
                return frequency(letters, rest);
            }
            case "MD" -> {
                if (!rest.isEmpty()) {
                    setMode(rest.charAt(0));
                    return "";
                }
                return "MD" + mode + ";";
            }
            case "DA" -> {
                if (!rest.isEmpty()) {
                    data = rest.equals("1");
                    return "";
                }
                return data ? "DA1;" : "DA0;";
            }
            case "PC" -> {
                if (!rest.isEmpty()) {
                    setWatts(Integer.parseInt(rest));
                    return "";
                }
                return String.format(Locale.ROOT, "PC%03d;", watts);
            }
            case "FR" -> {
                if (!rest.isEmpty()) {
                    onB = rest.equals("1");
                    split = false;
                    return "";
                }
                return onB ? "FR1;" : "FR0;";
            }
            case "FT" -> {
                if (!rest.isEmpty()) {
                    split = rest.equals("1") != onB;
                    return "";
                }
                return split != onB ? "FT1;" : "FT0;";
            }
            case "TX" -> {
                key(true);
                return "";
            }
            case "RX" -> {
                if (!transmits) {
                    return "?;";
                }
                key(false);
                return "";
            }
            case "AI" -> {
                pushes = rest.equals("2");
                return rest.isEmpty() ? (pushes ? "AI2;" : "AI0;") : "";
            }
            case "SM" -> {
                return "SM00005;";
            }
            case "ID" -> {
                return "ID900;";
            }
            case "KS" -> {
                return rest.matches("\\d{3}") ? "" : "?;";
            }
            case "KY" -> {
                return rest.isEmpty() ? "KY0;" : "";
            }
            case "IF" -> {
                return String.format(
                        Locale.ROOT,
                        "IF%011d     +000000 00%d%s%d0%d000 ;",
                        onB ? vfoB : vfoA,
                        transmits ? 1 : 0,
                        mode,
                        onB ? 1 : 0,
                        split ? 1 : 0);
            }
            default -> {
                return "?;";
            }
        }
    }

    private String frequency(String letters, String rest) {
        boolean a = letters.equals("FA");
        if (rest.isEmpty()) {
            return String.format(Locale.ROOT, "%s%011d;", letters, a ? vfoA : vfoB);
        }
        long hz = Long.parseLong(rest);
        if (hz < 100_000 || hz > 60_000_000) {
            return "?;";
        }
        if (a) {
            turnTo(hz);
        } else {
            vfoB = hz;
        }
        return "";
    }
}
