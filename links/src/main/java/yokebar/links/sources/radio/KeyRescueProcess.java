package yokebar.links.sources.radio;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.RejectedExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Tells {@link KeyRescue}, in a process of its own, which radios transmit. The process is started when it may be needed, or when a
 * radio is keyed, and again when it has ended. Thread-safe.
 */
public final class KeyRescueProcess implements AutoCloseable {
    private static final Logger LOG = LoggerFactory.getLogger(KeyRescueProcess.class);
    /** Keying waits so long for the process to be told; it must not wait for a process that hangs. */
    private static final Duration ANSWER_WITHIN = Duration.ofMillis(200);

    private final List<String> command;
    private final Map<String, KeyedRadio> keyed = new LinkedHashMap<>();
    private final ExecutorService teller = Executors.newSingleThreadExecutor(work -> {
        Thread thread = new Thread(work, "key-rescue");
        thread.setDaemon(true);
        return thread;
    });
    /** Used by the teller only. */
    private @Nullable Process process;

    /** @param command starts a process that runs {@link KeyRescue} */
    public KeyRescueProcess(List<String> command) {
        this.command = List.copyOf(command);
    }

    /** Starts the process, so that it is there when a radio is keyed for the first time. */
    public void prepare() {
        tell(() -> {
            try {
                if (process == null || !process.isAlive()) {
                    begin();
                }
            } catch (IOException e) {
                LOG.warn("The process that sets radios to receive after a crash cannot be started", e);
            }
        });
    }

    /** A radio is about to transmit. */
    public void keyed(KeyedRadio radio) {
        tell(() -> {
            keyed.put(radio.id(), radio);
            write(radio.line());
        });
    }

    /** A radio reported that it receives. */
    public void receives(String id) {
        tell(() -> {
            if (keyed.remove(id) != null) {
                write(id);
            }
        });
    }

    private void tell(Runnable work) {
        try {
            Future<?> request = teller.submit(work);
            request.get(ANSWER_WITHIN.toMillis(), TimeUnit.MILLISECONDS);
        } catch (TimeoutException | RejectedExecutionException e) {
            LOG.warn("The process that sets radios to receive after a crash was not reached in time", e);
        } catch (ExecutionException e) {
            LOG.error("The process that sets radios to receive after a crash could not be reached", e.getCause());
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void write(String line) {
        try {
            if (process == null || !process.isAlive()) {
                begin();
            } else {
                send(process, line);
            }
        } catch (IOException e) {
            LOG.warn("The process that sets radios to receive after a crash cannot be used", e);
            stop();
        }
    }

    /** All that is keyed is told to a new one. */
    private void begin() throws IOException {
        Process fresh = new ProcessBuilder(command)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        process = fresh;
        for (KeyedRadio radio : keyed.values()) {
            send(fresh, radio.line());
        }
    }

    private static void send(Process to, String line) throws IOException {
        to.getOutputStream().write((line + "\n").getBytes(StandardCharsets.UTF_8));
        to.getOutputStream().flush();
    }

    private void stop() {
        if (process != null) {
            process.destroyForcibly();
            process = null;
        }
    }

    /** Lets the process end; radios that were left keyed it sets to receive. */
    @Override
    public void close() {
        tell(() -> {
            Process open = process;
            process = null;
            try {
                if (open != null) {
                    open.getOutputStream().close();
                }
            } catch (IOException e) {
                LOG.debug("The process had ended", e);
            }
        });
        teller.shutdown();
    }
}
