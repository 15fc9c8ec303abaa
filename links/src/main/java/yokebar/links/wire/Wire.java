package yokebar.links.wire;

import java.io.Closeable;
import java.io.IOException;

/** An open connection that carries bytes. Reading and closing may happen in different threads. */
public interface Wire extends Closeable {

    /**
     * Waits a short while for bytes.
     *
     * @return how many came; 0 when none did
     * @throws IOException when the connection is gone
     */
    int read(byte[] buffer) throws IOException;

    /** Sends bytes. */
    void write(byte[] bytes) throws IOException;

    /** How long a read waits when nothing comes, ms. */
    int READ_WAIT_MS = 20;
}
