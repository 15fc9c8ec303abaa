package yokebar.links.platform.wire;

import java.io.IOException;
import org.jspecify.annotations.Nullable;

/** A device cannot be reached or understood: what is wrong, why, and what the operator can do. */
public final class LinkFault extends IOException {
    private static final long serialVersionUID = 1L;

    /** What is wrong. */
    public enum Kind {
        NO_SUCH_PORT("no such port"),
        NO_PERMISSION("no permission"),
        PORT_HELD("port in use"),
        CANNOT_OPEN("cannot be opened"),
        REFUSED("connection refused"),
        TIMED_OUT("cannot be reached"),
        UNKNOWN_HOST("unknown host"),
        NO_ANSWER("no answer"),
        GARBAGE("answers make no sense"),
        LOST("connection lost"),
        NO_READING("tells no frequency"),
        STUCK("does not turn");

        private final String brief;

        Kind(String brief) {
            this.brief = brief;
        }

        /** In at most four words. */
        public String brief() {
            return brief;
        }
    }

    private final Kind kind;
    private final String fix;

    /**
     * @param reason what is wrong and why, one sentence
     * @param fix what the operator can do, one sentence or question
     */
    public LinkFault(Kind kind, String reason, String fix, @Nullable Throwable cause) {
        super(reason, cause);
        this.kind = kind;
        this.fix = fix;
    }

    public Kind kind() {
        return kind;
    }

    public String reason() {
        return String.valueOf(getMessage());
    }

    public String fix() {
        return fix;
    }
}
