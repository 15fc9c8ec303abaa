package yokebar.app.services.delivery.handover;

import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/**
 * What is asked to go now, by service, and how far it has come. Kept in memory only: after a crash, what did not go is still
 * due.
 */
@Component
public class HandoverRequests {
    private final Map<Integer, Deque<Request>> requests = new HashMap<>();

    /**
     * How far what was asked for has come.
     *
     * @param total contacts asked for
     * @param left contacts of them that have not gone yet
     */
    public record Progress(long total, long left) {}

    /** Something asked for: so many of what is due, or certain contacts. */
    static final class Request {
        private final List<Long> chosen;
        private final boolean ofChosen;
        private @Nullable String askedBy;
        private long total;
        private volatile int left;

        private Request(long total, int left, @Nullable String askedBy) {
            this.askedBy = askedBy;
            this.chosen = List.of();
            this.ofChosen = false;
            this.total = total;
            this.left = left;
        }

        private Request(List<Long> chosen, @Nullable String askedBy) {
            this.askedBy = askedBy;
            this.chosen = new ArrayList<>(chosen);
            this.ofChosen = true;
            this.total = chosen.size();
            this.left = chosen.size();
        }

        boolean ofChosen() {
            return ofChosen;
        }

        /** Who asked, in words; null when it is time to send automatically. */
        @Nullable
        String askedBy() {
            return askedBy;
        }

        /** The next of the chosen contacts; they stay the next until {@link #doneWith} them. */
        List<Long> next(int max) {
            return List.copyOf(chosen.subList(0, Math.min(max, chosen.size())));
        }

        /** Of these contacts, no more can go. */
        void doneWith(List<Long> next) {
            chosen.subList(0, next.size()).clear();
            left = chosen.size();
        }

        void handedOver(int contacts) {
            left = ofChosen || left == Integer.MAX_VALUE ? left : Math.max(0, left - contacts);
        }

        /** How many may still go; {@link Integer#MAX_VALUE} for all that is due. */
        int left() {
            return left;
        }
    }

    /**
     * @param max of what is due; {@link Integer#MAX_VALUE} for all of it
     * @param due contacts that are due now
     * @param askedBy who asks, in words; null when it is time to send automatically
     */
    synchronized void ask(int serviceId, int max, long due, @Nullable String askedBy) {
        Deque<Request> waiting = requests.computeIfAbsent(serviceId, id -> new ArrayDeque<>());
        Request last = waiting.peekLast();
        if (last != null && !last.ofChosen()) {
            last.left = Math.max(last.left, max);
            last.total = Math.max(last.total, Math.min(max, due));
            last.askedBy = askedBy == null ? last.askedBy : askedBy;
        } else {
            waiting.add(new Request(Math.min(max, due), max, askedBy));
        }
    }

    synchronized void ask(int serviceId, List<Long> contactIds, @Nullable String askedBy) {
        requests.computeIfAbsent(serviceId, id -> new ArrayDeque<>()).add(new Request(contactIds, askedBy));
    }

    /** What is to be fulfilled first; null when nothing is asked for. */
    synchronized @Nullable Request first(int serviceId) {
        Deque<Request> waiting = requests.get(serviceId);
        return waiting == null ? null : waiting.peekFirst();
    }

    synchronized boolean any(int serviceId) {
        return first(serviceId) != null;
    }

    synchronized void done(int serviceId, Request request) {
        Deque<Request> waiting = requests.get(serviceId);
        if (waiting != null) {
            waiting.remove(request);
        }
    }

    synchronized void forget(int serviceId) {
        requests.remove(serviceId);
    }

    /**
     * @param due contacts that are due now
     * @return null when nothing is asked for
     */
    public synchronized @Nullable Progress progress(int serviceId, long due) {
        Request request = first(serviceId);
        if (request == null) {
            return null;
        }
        long left = Math.min(request.left, due);
        return new Progress(Math.max(request.total, left), left);
    }
}
