package yokebar.standins.http;

import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Random;
import yokebar.standins.http.HttpService.Answer;
import yokebar.standins.http.HttpService.Handler;
import yokebar.standins.http.HttpService.Request;

/** What goes wrong at a service, or between it and who asks it. Backstage and the tests turn it. */
public final class SimulatedFaults {
    private static final byte[] HTML = "<html><h1>Internal error</h1></html>".getBytes(StandardCharsets.UTF_8);
    private static final int SLOW_MS = 400;

    private int failuresLeft;
    private boolean loseNext;
    private boolean truncateNext;
    private boolean htmlNext;
    private boolean lockedOut;
    private long slowMs;
    private double share;
    private Random random = new Random(1);

    /** So many requests from now on fail before anything is done. */
    public synchronized void failNext(int requests) {
        failuresLeft = requests;
    }

    /** The next request that changes something is done, but its answer never gets back. */
    public synchronized void loseNextAnswer() {
        loseNext = true;
    }

    /** The next answer breaks off in its middle. */
    public synchronized void truncateNextAnswer() {
        truncateNext = true;
    }

    /** The next request is done and answered with a page for people. */
    public synchronized void answerNextWithAPage() {
        htmlNext = true;
    }

    /** The account is refused, or no longer. */
    public synchronized void setLockedOut(boolean refused) {
        lockedOut = refused;
    }

    /** How long every answer waits, ms. */
    public synchronized void setSlowMs(long ms) {
        slowMs = ms;
    }

    /**
     * Something goes wrong by itself now and then.
     *
     * @param part of the requests, 0 to 1
     */
    public synchronized void often(double part, long seed) {
        share = part;
        random = new Random(seed);
    }

    /** What is turned on. */
    public synchronized Map<String, Object> summary() {
        Map<String, Object> summary = new LinkedHashMap<>();
        summary.put("failuresLeft", failuresLeft);
        summary.put("lockedOut", lockedOut);
        summary.put("slowMs", slowMs);
        summary.put("share", share);
        return summary;
    }

    /** Answers a request as the service would if all went well, unless something is to go wrong. */
    public Answer around(Request request, Handler service) throws Exception {
        Kind kind = next(request);
        if (kind == Kind.SLOW) {
            Thread.sleep(SLOW_MS);
        } else if (slowMs() > 0) {
            Thread.sleep(slowMs());
        }
        switch (kind) {
            case LOST_BEFORE -> {
                return Answer.none();
            }
            case FAULT -> {
                return new Answer(500, "text/html", HTML);
            }
            case LOCKED_OUT -> {
                return Answer.json(401, Map.of("words", "unknown account or wrong password"));
            }
            default -> {
                // something may still go wrong with the answer
            }
        }
        Answer answer = service.answer(request);
        return switch (kind) {
            case LOST_AFTER -> Answer.none();
            case TRUNCATED -> answer.truncated();
            case PAGE -> new Answer(200, "text/html", HTML);
            default -> answer;
        };
    }

    private enum Kind {
        NONE,
        LOST_BEFORE,
        LOST_AFTER,
        FAULT,
        LOCKED_OUT,
        TRUNCATED,
        PAGE,
        SLOW
    }

    private synchronized Kind next(Request request) {
        if (failuresLeft > 0) {
            failuresLeft--;
            return Kind.FAULT;
        }
        if (lockedOut) {
            return Kind.LOCKED_OUT;
        }
        if (loseNext && !request.method().equals("GET")) {
            loseNext = false;
            return Kind.LOST_AFTER;
        }
        if (truncateNext) {
            truncateNext = false;
            return Kind.TRUNCATED;
        }
        if (htmlNext) {
            htmlNext = false;
            return Kind.PAGE;
        }
        if (share > 0 && random.nextDouble() < share) {
            Kind[] kinds = {
                Kind.LOST_BEFORE, Kind.LOST_AFTER, Kind.FAULT, Kind.LOCKED_OUT, Kind.TRUNCATED, Kind.PAGE, Kind.SLOW
            };
            return kinds[random.nextInt(kinds.length)];
        }
        return Kind.NONE;
    }

    private synchronized long slowMs() {
        return slowMs;
    }

    /** Turns a knob by its name; answers whether there is such a knob. */
    public boolean turn(String knob, Map<String, String> words) {
        switch (knob) {
            case "fail" -> failNext(Integer.parseInt(words.getOrDefault("requests", "1")));
            case "lose-answer" -> loseNextAnswer();
            case "truncate" -> truncateNextAnswer();
            case "page" -> answerNextWithAPage();
            case "lock-out" -> setLockedOut(Boolean.parseBoolean(words.getOrDefault("on", "true")));
            case "slow" -> setSlowMs(Long.parseLong(words.getOrDefault("ms", "0")));
            case "often" ->
                often(
                        Double.parseDouble(words.getOrDefault("share", "0")),
                        Long.parseLong(words.getOrDefault("seed", "1")));
            default -> {
                return false;
            }
        }
        return true;
    }
}
