package yokebar.links.sources.feed;

import java.io.IOException;
import java.util.Locale;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import yokebar.core.sources.spot.ClusterLine;
import yokebar.core.sources.spot.ClusterText;

/**
 * The way into a node: its question for the call, perhaps one for the password, then its welcome or the first spot. The password is
 * given once, to a question that is nothing but that, and never after anything that others may have written: from the first
 * spot or message on there is no login any more. Not thread-safe.
 */
final class NodeLogin {
    private static final int LONGEST_QUESTION = 80;
    private static final Pattern ASKS_FOR_CALL = Pattern.compile(
            "^(?:please )?(?:enter |type )?(?:your |ur )?(?:login|user ?name|user|call ?sign|call|name)(?: please)?\\s*[:>?]*$");
    private static final Pattern ASKS_FOR_PASSWORD = Pattern.compile(
            "^(?:please )?(?:enter |type )?(?:your |ur )?(?:password|pass ?phrase|passwd|pw)(?: for \\S+)?(?: please)?\\s*[:>?]*$");
    private static final Pattern REFUSES = Pattern.compile(
            "(?:wrong|invalid|incorrect|bad|not the|unknown|failed|denied|sorry).*(?:password|login|call|access|user)"
                    + "|(?:password|login|access|authentication).*(?:wrong|invalid|incorrect|failed|denied|refused|rejected)");
    private static final Pattern WELCOMES = Pattern.compile(
            "^(?:hello|hi|welcome|good (?:morning|afternoon|evening|day)|greetings)\\b.*|.*\\b(?:logged in|you are connected|connected to)\\b.*");
    /** {@code CU9QYB de BEACON 26-Nov-2026 1407Z >}: the node waits for a command. */
    private static final Pattern AT_WORK = Pattern.compile("^[a-z0-9/-]{3,} de [a-z0-9/-]{3,}.*>$");

    private final String name;
    private final String call;
    private final @Nullable String password;
    private boolean callGiven;
    private boolean passwordGiven;
    private boolean in;

    /** The node does not let us in; the message says why. */
    static final class Refused extends IOException {
        private static final long serialVersionUID = 1L;

        Refused(String message) {
            super(message);
        }
    }

    /**
     * What to answer a question.
     *
     * @param secret whether it must be shown nowhere
     */
    record Answer(String text, boolean secret) {}

    /** @param call empty where none is to be given */
    NodeLogin(String name, String call, @Nullable String password) {
        this.name = name;
        this.call = call;
        this.password = password;
        this.callGiven = call.isEmpty();
    }

    boolean in() {
        return in;
    }

    /**
     * A whole line came.
     *
     * @return whether with it the login is over
     * @throws Refused when it says that we are not let in
     */
    boolean line(String line) throws Refused {
        if (in) {
            return false;
        }
        String text = line.strip().toLowerCase(Locale.ROOT);
        boolean written = !(ClusterText.read(line) instanceof ClusterLine.Other);
        if (!written && callGiven && REFUSES.matcher(text).find()) {
            throw new Refused(name + " does not let " + call + " in: \"" + line.strip() + "\"");
        }
        in = written
                || callGiven
                        && (WELCOMES.matcher(text).matches()
                                || AT_WORK.matcher(text).matches());
        return in;
    }

    /**
     * What stands behind the last line, when nothing more has come for a moment or it ends like a question.
     *
     * @return what to answer; null when it asks for nothing
     * @throws Refused when it asks again for what it was given
     */
    @Nullable
    Answer question(String unfinished) throws Refused {
        String text = unfinished.strip().toLowerCase(Locale.ROOT);
        if (in || text.isEmpty() || text.length() > LONGEST_QUESTION) {
            return null;
        }
        if (ASKS_FOR_PASSWORD.matcher(text).matches()) {
            return passwordFor();
        }
        if (ASKS_FOR_CALL.matcher(text).matches()) {
            if (passwordGiven) {
                throw new Refused(name + " asks for the login again; the password for " + call + " is wrong there");
            }
            return call.isEmpty() ? null : call();
        }
        if (callGiven && AT_WORK.matcher(text).matches()) {
            in = true;
        }
        return null;
    }

    /** A node that asks for nothing gets the call all the same; null when it was given. */
    @Nullable
    Answer unasked() {
        return in || callGiven ? null : call();
    }

    private Answer call() {
        callGiven = true;
        return new Answer(call, false);
    }

    private @Nullable Answer passwordFor() throws Refused {
        if (!callGiven) {
            return null;
        }
        if (password == null) {
            throw new Refused(name + " asks for a password for " + call + ", and none is set");
        }
        if (passwordGiven) {
            throw new Refused(name + " asks for the password again; the one for " + call + " is wrong there");
        }
        passwordGiven = true;
        return new Answer(password, true);
    }

    /** Why the line may have been closed. */
    String whyClosed() {
        return passwordGiven && !in
                ? name + " closed the connection after the password. Is it right?"
                : name + " closed the connection.";
    }
}
