package yokebar.links.fake;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;

/** A device on a TCP port of this computer, for one connection at a time. */
public abstract class FakeDevice implements AutoCloseable {
    private final ServerSocket server;
    private final AtomicInteger connections = new AtomicInteger();
    /**
     * Nobody could reach it over this line; ns.
     *
     * @param to when the next connection was served
     */
    public record Down(long from, long to) {}

    private final List<Down> downs = new CopyOnWriteArrayList<>();
    private final AtomicLong downSince = new AtomicLong();
    private volatile Socket socket;
    private volatile boolean accepts = true;

    /** @param port 0 for any that is free */
    protected FakeDevice(int port) throws IOException {
        server = new ServerSocket();
        server.setReuseAddress(true);
        server.bind(new InetSocketAddress(InetAddress.getLoopbackAddress(), port));
    }

    /** Called when all that a conversation needs is set. */
    protected void begin() {
        Thread thread = new Thread(this::serve, getClass().getSimpleName());
        thread.setDaemon(true);
        thread.start();
    }

    /** Talks until the line ends. */
    protected abstract void converse(Socket open) throws IOException, InterruptedException;

    public int port() {
        return server.getLocalPort();
    }

    public int connections() {
        return connections.get();
    }

    /** Whether new connections are served; an open one goes on. */
    public void accept(boolean on) {
        accepts = on;
    }

    public void dropLine() throws IOException {
        Socket open = socket;
        if (open != null) {
            downSince.compareAndSet(0, System.nanoTime());
            open.close();
        }
    }

    public List<Down> downs() {
        return List.copyOf(downs);
    }

    private void serve() {
        while (!server.isClosed()) {
            try (Socket open = server.accept()) {
                if (accepts) {
                    socket = open;
                    open.setTcpNoDelay(true);
                    connections.incrementAndGet();
                    long down = downSince.getAndSet(0);
                    if (down != 0) {
                        downs.add(new Down(down, System.nanoTime()));
                    }
                    converse(open);
                }
            } catch (IOException e) {
                // The line was dropped; the next one may come.
            } catch (InterruptedException e) {
                return;
            }
        }
    }

    @Override
    public void close() {
        try {
            server.close();
            dropLine();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
