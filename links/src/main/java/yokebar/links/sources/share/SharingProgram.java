package yokebar.links.sources.share;

import java.io.IOException;
import java.io.InputStream;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.locks.ReentrantLock;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import yokebar.links.platform.wire.WebRequestSign;

/**
 * One program's connection to a shared radio. A thread reads and writes its answers; news go through a bounded queue and another
 * thread, so that whoever has news for the program only puts it there. A program that does not read what it is sent holds up nobody
 * but itself, and is disconnected.
 */
final class SharingProgram implements ShareSentences.Events {
    private static final Logger LOG = LoggerFactory.getLogger(SharingProgram.class);
    private static final int LONGEST_SENTENCE = 128;
    /** Sentences that wait to be read by the program. */
    private static final int MAX_WAITING = 256;

    private static final int BUFFER_BYTES = 2048;
    /** Put behind the last answer. */
    private static final String END = "";

    private static final long STUCK_AFTER_NANOS = 2_000_000_000L;
    /** A program that has ended its own side has so long to read its last answers, ms. */
    private static final long FINISH_MS = 1000;

    private final Socket socket;
    private final String address;
    private final RadioShare share;
    private final SharedRadio radio;
    private final Instant since;
    private final ShareSentences sentences;
    private final BlockingQueue<String> waiting = new ArrayBlockingQueue<>(MAX_WAITING);
    private final AtomicBoolean gone = new AtomicBoolean();
    private final Object newsLock = new Object();
    /** Held by whichever of the two threads writes. */
    private final ReentrantLock writing = new ReentrantLock();

    /** When the write that is under way began, {@link System#nanoTime()}; 0 while there is none. */
    private volatile long writingSince;

    private @Nullable Thread writer;
    private String lastNews = "";
    private volatile @Nullable Instant lastKeyed;

    SharingProgram(Socket socket, SharedRadio radio, RadioShare share, Instant since) throws IOException {
        this.socket = socket;
        this.radio = radio;
        this.share = share;
        this.since = since;
        this.address = words(socket);
        this.sentences = new ShareSentences(radio, this);
        socket.setTcpNoDelay(true);
    }

    static String words(Socket socket) {
        return socket.getInetAddress().getHostAddress() + ":" + socket.getPort();
    }

    void start() {
        writer = RadioShare.thread("radio-share-writer", this::write);
        RadioShare.thread("radio-share-program", this::read);
    }

    String address() {
        return address;
    }

    boolean isOwner(Object owner) {
        return owner == sentences;
    }

    RadioShare.Client view() {
        return new RadioShare.Client(address, since, radio.isKeyedBy(sentences), lastKeyed);
    }

    private void read() {
        byte[] buffer = new byte[BUFFER_BYTES];
        byte[] start = new byte[WebRequestSign.DECIDED_AFTER_BYTES];
        int begun = 0;
        WebRequestSign.Verdict verdict = WebRequestSign.Verdict.UNDECIDED;
        StringBuilder sentence = new StringBuilder();
        try (InputStream in = socket.getInputStream()) {
            for (int count = in.read(buffer); count >= 0 && !gone.get(); count = in.read(buffer)) {
                if (verdict == WebRequestSign.Verdict.UNDECIDED) {
                    int more = Math.min(count, start.length - begun);
                    System.arraycopy(buffer, 0, start, begun, more);
                    begun += more;
                    verdict = WebRequestSign.of(start, begun);
                }
                if (verdict == WebRequestSign.Verdict.WEB_REQUEST) {
                    hangUp("It was disconnected: it sent a web request. A web page may have tried to use the radio.");
                    return;
                }
                // While that is undecided there is no whole sentence: no start of a web request holds a semicolon.
                String problem = sentences(buffer, count, sentence);
                if (problem != null) {
                    hangUp(problem);
                    return;
                }
            }
            // It has nothing more to say, but may still read.
            finish();
        } catch (IOException e) {
            LOG.debug("The program at {} hung up", address, e);
        } finally {
            hangUp(null);
            // It may have asked to transmit in the moment it was disconnected.
            if (radio.isKeyedBy(sentences)) {
                radio.release(sentences);
            }
        }
    }

    /** @return why the program is to be disconnected; null when it is not */
    private @Nullable String sentences(byte[] bytes, int count, StringBuilder sentence) throws IOException {
        for (int i = 0; i < count; i++) {
            char c = (char) (bytes[i] & 0xff);
            if (c == ';') {
                answer(sentences.answer(sentence.toString()));
                sentence.setLength(0);
            } else if (c == '\r' || c == '\n') {
                // Between sentences some programs send line ends; within one nobody does.
                if (!sentence.isEmpty()) {
                    return "It was disconnected: it did not speak semicolon CAT.";
                }
            } else if (c < ' ' || c > '~') {
                return "It was disconnected: it did not speak semicolon CAT.";
            } else if (sentence.length() < LONGEST_SENTENCE && (c != ' ' || !sentence.isEmpty())) {
                sentence.append(c);
            }
        }
        return null;
    }

    private void finish() {
        Thread writes = writer;
        if (writes != null && !gone.get() && waiting.offer(END)) {
            try {
                writes.join(FINISH_MS);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }
    }

    private void write() {
        try {
            for (String text = waiting.take(); !text.equals(END) && !gone.get(); text = waiting.take()) {
                writing.lock();
                try {
                    put(text);
                } finally {
                    writing.unlock();
                }
            }
        } catch (IOException e) {
            LOG.debug("The program at {} takes no answer", address, e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    /** An answer goes out at once on the thread that read the question: handing it on would wake another for each. */
    private void answer(String text) throws IOException {
        if (text.isEmpty()) {
            return;
        }
        if (waiting.isEmpty() && writing.tryLock()) {
            try {
                put(text);
            } finally {
                writing.unlock();
            }
        } else {
            send(text);
        }
    }

    private void put(String text) throws IOException {
        writingSince = System.nanoTime();
        try {
            socket.getOutputStream().write(text.getBytes(StandardCharsets.US_ASCII));
        } finally {
            writingSince = 0;
        }
    }

    /** Disconnects it when it has not read for so long that a write cannot end. */
    void dropIfStuck() {
        long since = writingSince;
        if (since != 0 && System.nanoTime() - since > STUCK_AFTER_NANOS) {
            hangUp("It was disconnected: it did not read what it was sent.");
        }
    }

    /** Passes on news, unless they are none: most reports are of the meter. */
    void moved() {
        if (!sentences.pushes()) {
            return;
        }
        String news = sentences.news();
        synchronized (newsLock) {
            if (news.equals(lastNews)) {
                return;
            }
            lastNews = news;
        }
        send(news);
    }

    /** The limit ended its transmission. */
    void stopped() {
        send("RX;");
        moved();
    }

    @Override
    public void send(String text) {
        if (!text.isEmpty() && !waiting.offer(text)) {
            hangUp("It was disconnected: it did not read what it was sent.");
        }
    }

    @Override
    public void keyAsked(boolean granted, String why) {
        if (granted) {
            lastKeyed = share.now();
        }
        share.keyAsked(this, granted, why);
    }

    /** @param reason for the operator; null when the program left by itself */
    void hangUp(@Nullable String reason) {
        if (!gone.compareAndSet(false, true)) {
            return;
        }
        if (radio.isKeyedBy(sentences)) {
            radio.release(sentences);
        }
        share.gone(this, reason);
        Thread writes = writer;
        if (writes != null) {
            writes.interrupt();
        }
        // Closing waits for nothing, but whoever called may be the radio's own thread.
        RadioShare.closeQuietly(socket);
    }
}
