package yokebar.links.platform.wire;

import java.io.EOFException;
import java.io.IOException;
import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CopyOnWriteArraySet;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.locks.ReentrantLock;
import org.jspecify.annotations.Nullable;

/**
 * The one owner of a line with several radios on it. All hear all that comes; of those that want to send, one at a time is let
 * on the line until its radio has answered or has had time to. Frames end with {@code FD}; those to {@code E0} are answers.
 */
final class BusLine {
    private static final Map<DeviceAddress, BusLine> LINES = new HashMap<>();
    private static final int START = 0xFE;
    private static final int END = 0xFD;
    private static final int COMPUTER = 0xE0;
    private static final int EVERYBODY = 0;
    /** Wakes whoever waits for a piece, to read the line in the place of another. */
    private static final byte[] YOUR_TURN = {};

    private static final int BUFFER_BYTES = 4096;
    /** Pieces a user of the line may leave unread. */
    private static final int MAX_PIECES = 1024;

    private final DeviceAddress address;
    private final Wire wire;
    private final Set<Tap> taps = new CopyOnWriteArraySet<>();
    private final Object turns = new Object();
    /** Held by whoever reads the line, for all: a thread of its own would have to wake for every answer, besides the radio's. */
    private final ReentrantLock reading = new ReentrantLock();

    private final byte[] buffer = new byte[BUFFER_BYTES];
    private volatile @Nullable IOException lost;
    private @Nullable Tap speaking;
    private long spokeAt;
    /** Which byte of a frame comes next: 1 its receiver, 2 its sender, 3 what it says; 0 between frames. */
    private int place;

    private boolean toComputer;
    private int sender;

    private BusLine(DeviceAddress address, Wire wire) {
        this.address = address;
        this.wire = wire;
    }

    static Wire join(DeviceAddress address) throws LinkFault {
        synchronized (LINES) {
            BusLine line = LINES.get(address);
            if (line == null || line.lost != null) {
                line = new BusLine(address, address.open());
                LINES.put(address, line);
            }
            Tap tap = line.new Tap();
            line.taps.add(tap);
            return tap;
        }
    }

    private void leave(Tap tap) throws IOException {
        boolean last;
        synchronized (LINES) {
            taps.remove(tap);
            last = taps.isEmpty();
            if (last && LINES.get(address) == this) {
                LINES.remove(address);
            }
        }
        yieldTurn(tap);
        if (last) {
            lost = new EOFException("the line is closed");
            wire.close();
        }
    }

    /** Reads the line for all, and lets another do so afterwards. */
    private void read(int waitMs) throws IOException {
        try {
            int count = wire.read(buffer, waitMs);
            if (count > 0) {
                heard(Arrays.copyOf(buffer, count));
            }
        } catch (IOException e) {
            lost = e;
            try {
                wire.close();
            } catch (IOException closing) {
                e.addSuppressed(closing);
            }
            throw e;
        } finally {
            reading.unlock();
            taps.stream().filter(tap -> tap.waits).forEach(tap -> tap.pieces.offer(YOUR_TURN));
        }
    }

    private void heard(byte[] bytes) {
        // The turn ends before anybody hears the answer and asks again.
        for (byte one : bytes) {
            int b = one & 0xff;
            if (b == START) {
                place = 1;
            } else if (place == 1) {
                toComputer = b == COMPUTER;
                place = 2;
            } else if (b == END) {
                if (place == 3 && toComputer) {
                    answered();
                }
                place = 0;
            } else if (place == 2) {
                sender = b;
                place = 3;
            }
        }
        for (Tap tap : taps) {
            if (!tap.pieces.offer(bytes)) {
                // Whoever reads nothing for so long has no use for it.
                tap.pieces.poll();
                tap.pieces.offer(bytes);
            }
        }
    }

    /** A late answer of another radio leaves the turn with whoever has it, else all later turns would be too early. */
    private void answered() {
        synchronized (turns) {
            if (speaking != null && (speaking.radio == sender || speaking.radio == EVERYBODY)) {
                speaking.answerTime.answered(System.nanoTime() - spokeAt);
                speaking = null;
                turns.notifyAll();
            }
        }
    }

    private void yieldTurn(Tap tap) {
        synchronized (turns) {
            if (speaking == tap) {
                speaking = null;
                turns.notifyAll();
            }
        }
    }

    /** Waits for the line; never longer than an answer to another radio's question may take. */
    private void takeTurn(Tap tap) throws IOException {
        synchronized (turns) {
            while (speaking != null && speaking != tap && lost == null) {
                long left = speaking.answerTime.waitNanos() - (System.nanoTime() - spokeAt);
                if (left <= 0) {
                    speaking.answerTime.missed();
                    break;
                }
                try {
                    turns.wait(Math.max(1, left / 1_000_000));
                } catch (InterruptedException e) {
                    Thread.currentThread().interrupt();
                    throw new EOFException("interrupted");
                }
            }
            speaking = tap;
            spokeAt = System.nanoTime();
        }
    }

    private static int receiver(byte[] sentence) {
        int at = 0;
        while (at < sentence.length - 1 && (sentence[at] & 0xff) == START) {
            at++;
        }
        return sentence[at] & 0xff;
    }

    /** The line as one radio's driver sees it. */
    private final class Tap implements Wire {
        private final BlockingQueue<byte[]> pieces = new ArrayBlockingQueue<>(MAX_PIECES);
        private final AnswerTime answerTime = new AnswerTime();
        /** The radio spoken to last, its number on the bus. */
        private volatile int radio;

        private byte @Nullable [] rest;
        private volatile boolean waits;

        @Override
        public int read(byte[] into, int waitMs) throws IOException {
            byte[] piece = rest != null ? rest : next(waitMs);
            if (piece == null) {
                return 0;
            }
            int count = Math.min(piece.length, into.length);
            System.arraycopy(piece, 0, into, 0, count);
            rest = count < piece.length ? Arrays.copyOfRange(piece, count, piece.length) : null;
            return count;
        }

        /** What came on the line next; null when nothing does in that time. */
        private byte @Nullable [] next(int waitMs) throws IOException {
            long end = System.nanoTime() + TimeUnit.MILLISECONDS.toNanos(waitMs);
            for (int left = Math.max(1, waitMs);
                    left > 0;
                    left = (int) TimeUnit.NANOSECONDS.toMillis(end - System.nanoTime())) {
                byte[] piece = pieces.poll();
                if (piece == null) {
                    IOException gone = lost;
                    if (gone != null) {
                        throw new IOException(gone.getMessage(), gone);
                    }
                    piece = reading.tryLock() ? readForAll(left) : fromAnother(left);
                }
                if (piece != null && piece.length > 0) {
                    return piece;
                }
            }
            return null;
        }

        private byte @Nullable [] readForAll(int waitMs) throws IOException {
            if (!pieces.isEmpty()) {
                reading.unlock();
            } else {
                BusLine.this.read(waitMs);
            }
            return pieces.poll();
        }

        private byte @Nullable [] fromAnother(int waitMs) throws IOException {
            waits = true;
            try {
                // Whoever read may have ended just before.
                return reading.isLocked() ? pieces.poll(waitMs, TimeUnit.MILLISECONDS) : pieces.poll();
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new EOFException("interrupted");
            } finally {
                waits = false;
            }
        }

        @Override
        public void write(byte[] bytes) throws IOException {
            takeTurn(this);
            radio = receiver(bytes);
            synchronized (wire) {
                wire.write(bytes);
            }
        }

        @Override
        public void close() throws IOException {
            leave(this);
        }
    }
}
