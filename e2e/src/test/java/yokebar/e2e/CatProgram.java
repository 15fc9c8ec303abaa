package yokebar.e2e;

import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;

/** A program at the port of a shared radio, which knows nothing of Yokebar. */
final class CatProgram implements AutoCloseable {
    private final Process process;

    CatProgram(String port) throws IOException {
        process = new ProcessBuilder("nc", "127.0.0.1", port).start();
    }

    CatProgram askToTransmit() {
        try {
            OutputStream out = process.getOutputStream();
            out.write("TX;".getBytes(StandardCharsets.US_ASCII));
            out.flush();
            return this;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    @Override
    public void close() {
        process.destroyForcibly();
    }
}
