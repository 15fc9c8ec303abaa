package yokebar.links.platform.web;

import java.io.IOException;
import java.io.InputStream;
import java.net.http.HttpTimeoutException;
import java.time.Duration;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;

/**
 * The body of an answer that must be there in time as a whole: a peer that sends a byte now and then, or none at all after its
 * headers, is given up.
 */
final class TimedBody implements AutoCloseable {
    private final InputStream body;
    private volatile boolean closed;
    private volatile boolean expired;

    TimedBody(InputStream body, Duration within) {
        this.body = body;
        CompletableFuture.delayedExecutor(within.toMillis(), TimeUnit.MILLISECONDS)
                .execute(this::expire);
    }

    private void expire() {
        if (closed) {
            return;
        }
        expired = true;
        try {
            body.close();
        } catch (IOException e) {
            // Whoever reads is told that the time is up.
        }
    }

    /**
     * Reads at most so many bytes.
     *
     * @throws HttpTimeoutException when they were not there in time
     */
    byte[] read(int maxBytes) throws IOException {
        try {
            byte[] bytes = body.readNBytes(maxBytes);
            refuseExpired();
            return bytes;
        } catch (IOException e) {
            refuseExpired();
            throw e;
        }
    }

    /** Reads some bytes, as {@link InputStream#read(byte[])} does. */
    int read(byte[] piece) throws IOException {
        try {
            int count = body.read(piece);
            refuseExpired();
            return count;
        } catch (IOException e) {
            refuseExpired();
            throw e;
        }
    }

    private void refuseExpired() throws HttpTimeoutException {
        if (expired) {
            throw new HttpTimeoutException("the answer was not complete in time");
        }
    }

    @Override
    public void close() throws IOException {
        closed = true;
        body.close();
    }
}
