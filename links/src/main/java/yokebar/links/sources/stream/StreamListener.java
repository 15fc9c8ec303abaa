package yokebar.links.sources.stream;

import java.io.IOException;
import java.io.InputStream;
import java.net.BindException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import yokebar.core.log.adif.AdiStream;
import yokebar.links.platform.status.LinkStatus;
import yokebar.links.platform.status.Pauses;
import yokebar.links.platform.wire.WebRequestSign;
import yokebar.links.sources.device.KeptLink;

/**
 * Listens on a TCP port for programs that write ADIF records. A record is passed on as soon as its end is there; a program is
 * read no faster than its records are stored, so that none is lost here.
 */
public final class StreamListener extends KeptLink {
    private static final Logger LOG = LoggerFactory.getLogger(StreamListener.class);
    private static final Pauses PAUSES = new Pauses(Duration.ofSeconds(2), Duration.ofMinutes(1));
    private static final int PIECE_BYTES = 1 << 14;
    private static final int MAX_PROGRAMS = 64;

    private final InetAddress address;
    private final int port;
    private final String howToChangePort;
    private final Receiver receiver;
    private final Set<Socket> programs = ConcurrentHashMap.newKeySet();
    private volatile @Nullable ServerSocket server;

    /** Takes records of one program; it returns once they are stored. */
    public interface Receiver {
        /** @param sender host and port of the program */
        void take(List<AdiStream.Entry> records, String sender);
    }

    /**
     * @param port 0 for any free port
     * @param howToChangePort a sentence for the operator, used when the port is taken
     * @param quietAfter with nothing heard for this long it counts as quiet
     */
    public StreamListener(
            InetAddress address,
            int port,
            String howToChangePort,
            Duration quietAfter,
            Clock clock,
            Receiver receiver,
            Consumer<LinkStatus> watcher) {
        super("adif-stream-" + port, PAUSES, quietAfter, clock, watcher);
        this.address = address;
        this.port = port;
        this.howToChangePort = howToChangePort;
        this.receiver = receiver;
    }

    /** The port listened on, or the one asked for while there is none. */
    public int port() {
        ServerSocket open = server;
        return open == null ? port : open.getLocalPort();
    }

    @Override
    protected void release() {
        closeQuietly(server);
        programs.forEach(StreamListener::closeQuietly);
    }

    /** The port is free only once the thread has let go of it; whoever opens it again next must not find it taken. */
    @Override
    protected Duration endsWithin() {
        return Duration.ofSeconds(2);
    }

    private static void closeQuietly(@Nullable AutoCloseable what) {
        try {
            if (what != null) {
                what.close();
            }
        } catch (Exception e) {
            LOG.debug("Closing failed", e);
        }
    }

    @Override
    protected void run() {
        int failed = 0;
        while (!closed()) {
            try (ServerSocket open = new ServerSocket()) {
                open.setReuseAddress(true);
                open.bind(new InetSocketAddress(address, port));
                server = open;
                failed = 0;
                works();
                while (!closed()) {
                    letIn(open.accept());
                }
            } catch (IOException e) {
                if (!closed()) {
                    report(e, ++failed);
                    pauseAfter(failed);
                }
            }
        }
    }

    private void letIn(Socket program) {
        if (programs.size() >= MAX_PROGRAMS) {
            LOG.warn("More than {} programs at TCP port {}; another one was refused", MAX_PROGRAMS, port());
            closeQuietly(program);
            return;
        }
        programs.add(program);
        if (closed()) {
            // It came while the others were hung up on.
            closeQuietly(program);
        }
        daemon("adif-stream-program", () -> read(program)).start();
    }

    private void read(Socket program) {
        String sender = program.getInetAddress().getHostAddress() + ":" + program.getPort();
        AdiStream stream = new AdiStream();
        byte[] piece = new byte[PIECE_BYTES];
        try (program;
                InputStream in = program.getInputStream()) {
            int held = 0;
            WebRequestSign.Verdict verdict = WebRequestSign.Verdict.UNDECIDED;
            for (int read = in.read(piece, held, piece.length - held);
                    read >= 0;
                    read = in.read(piece, held, piece.length - held)) {
                held += read;
                if (verdict == WebRequestSign.Verdict.UNDECIDED) {
                    verdict = WebRequestSign.of(piece, held);
                }
                if (verdict == WebRequestSign.Verdict.WEB_REQUEST) {
                    LOG.warn("{} sent a web request to TCP port {}; nothing was taken from it", sender, port());
                    return;
                }
                if (verdict == WebRequestSign.Verdict.PROGRAM) {
                    pass(stream.take(piece, held), sender);
                    held = 0;
                }
                if (stream.overfull()) {
                    break;
                }
            }
            if (held > 0) {
                pass(stream.take(piece, held), sender);
            }
        } catch (IOException e) {
            LOG.debug("{} hung up", sender, e);
        } finally {
            programs.remove(program);
        }
        AdiStream.Entry rest = stream.rest();
        if (rest != null && !closed()) {
            pass(List.of(rest), sender);
        }
    }

    private void pass(List<AdiStream.Entry> records, String sender) {
        if (!records.isEmpty()) {
            heard(clock.instant());
            receiver.take(records, sender);
        }
    }

    private void report(IOException e, int failed) {
        boolean taken = e instanceof BindException;
        String reason = taken
                ? "TCP port " + port + " is in use by another program, or is not on this computer."
                : "TCP port " + port + " cannot be listened on: " + e.getMessage() + ".";
        LOG.warn("{} (try {})", reason, failed, e);
        trouble(
                failed,
                taken ? "port in use" : "port cannot be read",
                reason,
                taken ? "Close the other program, or " + howToChangePort : "Yokebar tries again automatically.");
    }
}
