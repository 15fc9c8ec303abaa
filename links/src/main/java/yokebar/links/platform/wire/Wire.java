package yokebar.links.platform.wire;

import java.io.Closeable;
import java.io.IOException;

/** An open connection that carries bytes. Reading and closing may happen in different threads. */
public interface Wire extends Closeable {

    /**
     * Waits a while for bytes.
     *
     * @param waitMs at most so long, 1 to 1000 ms
     * @return how many came; 0 when none did
     * @throws IOException when the connection is gone
     */
    int read(byte[] buffer, int waitMs) throws IOException;

    /** Sends bytes. */
    void write(byte[] bytes) throws IOException;

    /** How long a read waits when nothing comes and nothing else is asked for, ms. */
    int READ_WAIT_MS = 20;
}
