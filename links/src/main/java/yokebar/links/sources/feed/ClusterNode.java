package yokebar.links.sources.feed;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.ConnectException;
import java.net.NoRouteToHostException;
import java.net.SocketTimeoutException;
import java.net.UnknownHostException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.ScheduledFuture;
import java.util.concurrent.ScheduledThreadPoolExecutor;
import java.util.concurrent.TimeUnit;
import java.util.function.Consumer;
import org.apache.commons.net.telnet.TelnetClient;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import yokebar.links.platform.status.LinkStatus;
import yokebar.links.platform.status.Pauses;
import yokebar.links.platform.wire.SelfConnection;
import yokebar.links.sources.device.KeptLink;

/**
 * Keeps a line to a node open: logs in when asked to, says the start-up commands, passes on each line that comes, and begins
 * again after growing pauses when the line drops. Telnet's own negotiation never reaches a line.
 */
public final class ClusterNode extends KeptLink {
    private static final Logger LOG = LoggerFactory.getLogger(ClusterNode.class);
    private static final Pauses PAUSES = new Pauses(Duration.ofSeconds(1), Duration.ofMinutes(2));
    private static final int CONNECT_WITHIN_MS = 8_000;
    /** A node that asks nothing within this time gets the login all the same. */
    private static final Duration ASKS_WITHIN = Duration.ofSeconds(4);
    /** A node that has not said anything by then is given up. */
    private static final Duration SPEAKS_WITHIN = Duration.ofSeconds(10);
    /** What has no end of line for so long is a question. */
    private static final Duration QUESTION_AFTER = Duration.ofMillis(600);

    private static final Duration STEADY = Duration.ofSeconds(30);
    private static final int MAX_NEGOTIATION = 10_000;

    private final NodeSetting setting;
    private final Listener listener;
    private final ScheduledExecutorService timer;
    private volatile @Nullable TelnetClient open;
    private volatile Instant lastSentAt;
    private volatile boolean loggedIn;
    /** Why the node did not let us in, found on another thread than the one that reads. */
    private volatile NodeLogin.@Nullable Refused refused;

    /** It was given up because it said nothing. */
    private volatile boolean silent;

    private volatile boolean spoke;
    private volatile String whyClosed = "";
    private volatile @Nullable ScheduledFuture<?> questions;

    /** Hears what goes over the line, on the link's thread. */
    public interface Listener {
        /** @param line without its end, cut when too long */
        void heard(String line);

        /** @param line as it was sent; a password is not told */
        void sent(String line);
    }

    public ClusterNode(NodeSetting setting, Clock clock, Listener listener, Consumer<LinkStatus> watcher) {
        super("node-" + setting.name(), PAUSES, setting.quietAfter(), clock, watcher);
        this.setting = setting;
        this.listener = listener;
        this.lastSentAt = clock.instant();
        ScheduledThreadPoolExecutor one =
                new ScheduledThreadPoolExecutor(1, task -> daemon("node-timer-" + setting.name(), task));
        one.setRemoveOnCancelPolicy(true);
        this.timer = one;
    }

    @Override
    protected void release() {
        timer.shutdownNow();
        hangUp();
    }

    /**
     * Says a line to the node.
     *
     * @throws IOException when there is no line to it
     */
    public void say(String line) throws IOException {
        if (!loggedIn) {
            throw new IOException(setting.name() + " is not connected");
        }
        send(line, true);
    }

    @Override
    protected void run() {
        int failed = 0;
        while (!closed()) {
            Instant began = clock.instant();
            try {
                converse();
                failed = loggedIn ? 1 : failed + 1;
                trouble(failed, "hung up", whyClosed, "Yokebar calls again automatically.");
            } catch (NodeLogin.Refused e) {
                trouble(
                        ++failed,
                        "login refused",
                        e.getMessage() + ".",
                        "Check call and password under Set up. Yokebar calls again automatically, less and less often.");
            } catch (IOException e) {
                boolean steady =
                        loggedIn && Duration.between(began, clock.instant()).compareTo(STEADY) > 0;
                failed = steady ? 1 : failed + 1;
                report(e, failed);
            } catch (RuntimeException e) {
                // A fault of our own, or of whoever listens, must not end the link for good.
                LOG.error("The connection to {} was lost; it is called again", setting.name(), e);
                trouble(
                        ++failed,
                        "connection lost",
                        "Listening to " + setting.name() + " ended because of a fault in Yokebar.",
                        "Yokebar calls again automatically; see the log file.");
            } finally {
                loggedIn = false;
                hangUp();
            }
            if (!closed()) {
                pauseAfter(failed);
            }
        }
    }

    private void converse() throws IOException {
        TelnetClient client = new TelnetClient("VT100", MAX_NEGOTIATION);
        client.setConnectTimeout(CONNECT_WITHIN_MS);
        client.connect(setting.host(), setting.port());
        open = client;
        SelfConnection.refuse(
                client.getLocalAddress(), client.getLocalPort(), client.getRemoteAddress(), client.getRemotePort());
        client.setKeepAlive(true);
        if (closed()) {
            return;
        }
        NodeLogin login = new NodeLogin(setting.name(), setting.login(), setting.password());
        Unfinished unfinished = new Unfinished();
        ScheduledFuture<?> unasked = timer.schedule(
                () -> onTime(() -> answer(login.unasked())), ASKS_WITHIN.toMillis(), TimeUnit.MILLISECONDS);
        questions = timer.scheduleWithFixedDelay(
                () -> onTime(() -> question(login, unfinished)),
                QUESTION_AFTER.toMillis(),
                QUESTION_AFTER.toMillis() / 2,
                TimeUnit.MILLISECONDS);
        ScheduledFuture<?> alive = keepAlive();
        refused = null;
        silent = false;
        spoke = false;
        ScheduledFuture<?> unheard =
                timer.schedule(this::giveUpIfSilent, SPEAKS_WITHIN.toMillis(), TimeUnit.MILLISECONDS);
        try (InputStream in = new BufferedInputStream(client.getInputStream())) {
            for (int c = in.read(); c >= 0; c = in.read()) {
                spoke = true;
                if (c == '\n' || c == '\r') {
                    takeIn(login, unfinished.take());
                } else if (unfinished.add(c) && c == ':') {
                    question(login, unfinished);
                }
                throwRefused();
            }
        } finally {
            unasked.cancel(false);
            unheard.cancel(false);
            askNoMore();
            alive.cancel(false);
            throwRefused();
            if (silent) {
                throw new SocketTimeoutException(setting.name() + " says nothing");
            }
            whyClosed = login.whyClosed();
        }
    }

    private void giveUpIfSilent() {
        if (!spoke) {
            silent = true;
            hangUp();
        }
    }

    /** In a node nobody is asked anything any more. */
    private void askNoMore() {
        ScheduledFuture<?> task = questions;
        if (task != null) {
            task.cancel(false);
        }
    }

    private void throwRefused() throws NodeLogin.Refused {
        NodeLogin.Refused refusal = refused;
        if (refusal != null) {
            refused = null;
            throw refusal;
        }
    }

    private interface Step {
        void run() throws IOException;
    }

    private synchronized void onTime(Step step) {
        try {
            step.run();
        } catch (NodeLogin.Refused e) {
            refused = e;
            hangUp();
        } catch (IOException e) {
            LOG.debug("{} hung up during the login", setting.name(), e);
            hangUp();
        }
    }

    /** Answers a question that stands at the end of what came, which has no end of line. */
    private synchronized void question(NodeLogin login, Unfinished unfinished) throws IOException {
        if (login.in() || !unfinished.stands(QUESTION_AFTER)) {
            return;
        }
        String text = unfinished.text();
        NodeLogin.Answer answer = login.question(text);
        if (answer != null || login.in()) {
            takeIn(login, unfinished.take());
        }
        answer(answer);
        if (login.in()) {
            enter();
        }
    }

    private synchronized void answer(NodeLogin.@Nullable Answer answer) throws IOException {
        if (answer != null) {
            send(answer.text(), !answer.secret());
        }
    }

    private void takeIn(NodeLogin login, String line) throws IOException {
        if (line.isEmpty()) {
            return;
        }
        synchronized (this) {
            if (login.line(line)) {
                enter();
            }
        }
        heard(clock.instant());
        listener.heard(line.strip());
    }

    /** The login is over: what is said from now on is heard as commands. */
    private void enter() throws IOException {
        if (!loggedIn) {
            loggedIn = true;
            askNoMore();
            for (String command : setting.commands()) {
                send(command, true);
            }
            works();
        }
    }

    private ScheduledFuture<?> keepAlive() {
        long millis = setting.keepAlive().toMillis();
        if (millis <= 0) {
            return timer.schedule(() -> {}, 0, TimeUnit.MILLISECONDS);
        }
        return timer.scheduleWithFixedDelay(
                () -> {
                    if (loggedIn
                            && Duration.between(lastSentAt, clock.instant()).toMillis() >= millis / 2) {
                        try {
                            send("", false);
                        } catch (IOException e) {
                            LOG.debug("{} is gone", setting.name(), e);
                            hangUp();
                        }
                    }
                },
                millis,
                millis,
                TimeUnit.MILLISECONDS);
    }

    private void send(String line, boolean tell) throws IOException {
        TelnetClient client = open;
        if (client == null) {
            throw new IOException(setting.name() + " is not connected");
        }
        synchronized (this) {
            OutputStream out = client.getOutputStream();
            out.write((line + "\r\n").getBytes(StandardCharsets.UTF_8));
            out.flush();
        }
        lastSentAt = clock.instant();
        if (tell) {
            listener.sent(line);
        }
    }

    private void hangUp() {
        TelnetClient client = open;
        open = null;
        if (client != null) {
            try {
                client.disconnect();
            } catch (IOException e) {
                LOG.debug("Hanging up failed", e);
            }
        }
    }

    private void report(IOException e, int failed) {
        String at = setting.host() + " port " + setting.port();
        if (e instanceof UnknownHostException) {
            trouble(
                    failed,
                    "address unknown",
                    "The address " + setting.host() + " of " + setting.name() + " is not known.",
                    "Is it spelled correctly, and is the network up?");
        } else if (e instanceof SocketTimeoutException || e instanceof NoRouteToHostException) {
            trouble(
                    failed,
                    "does not answer",
                    setting.name() + " does not answer at " + at + ".",
                    "Is the network up?");
        } else if (e instanceof ConnectException) {
            trouble(
                    failed,
                    "nobody listens",
                    "Nothing listens at " + at + ", where " + setting.name() + " should be.",
                    "Is the port right? The node may be down; Yokebar calls again automatically.");
        } else {
            trouble(
                    failed,
                    "line dropped",
                    "The line to " + setting.name() + " dropped: " + e.getMessage() + ".",
                    "Yokebar calls again automatically.");
        }
    }
}
