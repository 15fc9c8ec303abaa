package yokebar.app.platform.live;

import java.io.IOException;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.CopyOnWriteArraySet;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import tools.jackson.databind.json.JsonMapper;

/**
 * Sends every event to every open page, in order. The last thousand are kept: a page that lost its connection says which it
 * saw last and gets the rest; one that was away for longer is told to load afresh.
 */
@Component
class LiveStream implements SmartLifecycle {
    private static final int KEPT = 1000;
    private static final long HEARTBEAT_MS = 10_000;
    private static final long NO_TIMEOUT = 0L;
    /** Pages of one computer; a window with thirty tabs is a mistake. */
    private static final int MAX_PAGES_PER_CLIENT = 24;

    private static final int MAX_PAGES = 96;

    /** Numbers start over with every start of the application, so they are only good together with this. */
    private final String era = UUID.randomUUID().toString().substring(0, 8);

    private final JsonMapper json;
    private final Deque<LiveEvent> kept = new ArrayDeque<>();
    private final Set<Page> pages = new CopyOnWriteArraySet<>();
    private long lastNumber;
    private @Nullable ExecutorService senders;
    private volatile boolean running;

    LiveStream(JsonMapper json) {
        this.json = json;
    }

    /** One open page with what is still to be sent to it. */
    private static final class Page {
        private final SseEmitter emitter = new SseEmitter(NO_TIMEOUT);
        private final BlockingQueue<LiveEvent> waiting = new LinkedBlockingQueue<>(2 * KEPT);
        private final String client;

        Page(String client) {
            this.client = client;
        }
    }

    @Override
    public void start() {
        senders = Executors.newCachedThreadPool(task -> {
            Thread thread = new Thread(task, "live");
            thread.setDaemon(true);
            return thread;
        });
        running = true;
    }

    @Override
    public void stop() {
        running = false;
        pages.forEach(page -> page.emitter.complete());
        ExecutorService pool = senders;
        if (pool != null) {
            pool.shutdownNow();
        }
    }

    @Override
    public boolean isRunning() {
        return running;
    }

    /** Ends before the web server does, so that open streams do not hold up its closing. */
    @Override
    public int getPhase() {
        return Integer.MAX_VALUE;
    }

    /** Whether any page is open to be told. */
    boolean hasPages() {
        return !pages.isEmpty();
    }

    /** Something was not told because no page was open: whoever comes back loads afresh. */
    void skip() {
        synchronized (kept) {
            lastNumber++;
            kept.clear();
        }
    }

    void send(String kind, Object content) {
        String text = json.writeValueAsString(content);
        synchronized (kept) {
            LiveEvent event = new LiveEvent(++lastNumber, kind, text);
            kept.addLast(event);
            if (kept.size() > KEPT) {
                kept.removeFirst();
            }
            for (Page page : pages) {
                if (!page.waiting.offer(event)) {
                    // It reads too slowly to catch up; it will come back and be told to load afresh.
                    page.emitter.complete();
                }
            }
        }
    }

    /**
     * @param lastSeen the id of the last event the page saw, or null for a new page
     * @param client the address of its computer
     */
    SseEmitter open(@Nullable String lastSeen, String client) {
        endOldest(client);
        Page page = new Page(client);
        synchronized (kept) {
            page.waiting.addAll(missed(lastSeen));
            pages.add(page);
        }
        page.emitter.onCompletion(() -> pages.remove(page));
        page.emitter.onError(e -> pages.remove(page));
        ExecutorService pool = senders;
        if (pool == null) {
            page.emitter.complete();
        } else {
            pool.execute(() -> feed(page));
        }
        return page.emitter;
    }

    /** The page opened longest ago gives way; if it is still looked at, it comes back by itself. */
    private void endOldest(String client) {
        List<Page> same =
                pages.stream().filter(page -> page.client.equals(client)).toList();
        if (same.size() >= MAX_PAGES_PER_CLIENT) {
            end(same.get(0));
        }
        if (pages.size() >= MAX_PAGES) {
            pages.stream().findFirst().ifPresent(this::end);
        }
    }

    private void end(Page page) {
        pages.remove(page);
        page.emitter.complete();
    }

    private List<LiveEvent> missed(@Nullable String lastSeen) {
        LiveEvent fresh = new LiveEvent(lastNumber, "afresh", "{}");
        if (lastSeen == null || !lastSeen.startsWith(era + "-")) {
            return List.of(fresh);
        }
        long seen;
        try {
            seen = Long.parseLong(lastSeen.substring(era.length() + 1));
        } catch (NumberFormatException e) {
            return List.of(fresh);
        }
        boolean gap = seen < lastNumber && (kept.isEmpty() || kept.getFirst().number() > seen + 1);
        return gap
                ? List.of(fresh)
                : kept.stream().filter(e -> e.number() > seen).toList();
    }

    private void feed(Page page) {
        try {
            while (running && pages.contains(page)) {
                LiveEvent event = page.waiting.poll(HEARTBEAT_MS, TimeUnit.MILLISECONDS);
                page.emitter.send(
                        event == null
                                ? SseEmitter.event().name("beat").data("{}")
                                : SseEmitter.event()
                                        .id(era + "-" + event.number())
                                        .name(event.kind())
                                        .data(event.json()));
            }
            // One that came just before the end must not hold up the closing of the web server.
            page.emitter.complete();
        } catch (IOException | IllegalStateException e) {
            pages.remove(page);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
