package yokebar.links.wire;

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
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * The one owner of a line with several radios on it. All hear all that comes; of those that want to send, one at a time is let
 * on the line until its radio has answered or has had time to. Frames end with {@code FD}; those to {@code E0} are answers.
 */
final class BusLine {
    private static final Logger LOG = LoggerFactory.getLogger(BusLine.class);
    private static final Map<DeviceAddress, BusLine> LINES = new HashMap<>();
    private static final int START = 0xFE;
    private static final int END = 0xFD;
    private static final int COMPUTER = 0xE0;
    /** What comes is heard at once; without it, a thread of its own need not wake more often than to find the line closed. */
    private static final int REST_MS = 100;

    private static final int BUFFER_BYTES = 4096;
    /** Pieces a user of the line may leave unread. */
    private static final int MAX_PIECES = 1024;

    private final DeviceAddress address;
    private final Wire wire;
    private final Set<Tap> taps = new CopyOnWriteArraySet<>();
    private final Object turns = new Object();
    private volatile @Nullable IOException lost;
    private @Nullable Tap speaking;
    private long spokeAt;
    /** Bytes of the frame under way: 1 its receiver, 2 its sender; 0 between frames. */
    private int place;

    private boolean toComputer;

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
                Thread thread = new Thread(line::read, "bus-" + address.words());
                thread.setDaemon(true);
                thread.start();
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

    private void read() {
        byte[] buffer = new byte[BUFFER_BYTES];
        try {
            while (lost == null) {
                int count = wire.read(buffer, REST_MS);
                if (count > 0) {
                    heard(Arrays.copyOf(buffer, count));
                }
            }
        } catch (IOException e) {
            lost = e;
        } finally {
            try {
                wire.close();
            } catch (IOException e) {
                LOG.debug("Closing {} failed", address.words(), e);
            }
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
                if (place > 1 && toComputer) {
                    answered();
                }
                place = 0;
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

    private void answered() {
        synchronized (turns) {
            if (speaking != null) {
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

    /** The line as one radio's driver sees it. */
    private final class Tap implements Wire {
        private final BlockingQueue<byte[]> pieces = new ArrayBlockingQueue<>(MAX_PIECES);
        private final AnswerTime answerTime = new AnswerTime();
        private byte @Nullable [] rest;

        @Override
        public int read(byte[] buffer, int waitMs) throws IOException {
            byte[] piece = rest;
            try {
                piece = piece != null ? piece : pieces.poll(waitMs, TimeUnit.MILLISECONDS);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new EOFException("interrupted");
            }
            if (piece == null) {
                IOException gone = lost;
                if (gone != null) {
                    throw new IOException(gone.getMessage(), gone);
                }
                return 0;
            }
            int count = Math.min(piece.length, buffer.length);
            System.arraycopy(piece, 0, buffer, 0, count);
            rest = count < piece.length ? Arrays.copyOfRange(piece, count, piece.length) : null;
            return count;
        }

        @Override
        public void write(byte[] bytes) throws IOException {
            takeTurn(this);
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
