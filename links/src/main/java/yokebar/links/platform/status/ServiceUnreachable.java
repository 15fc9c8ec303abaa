package yokebar.links.platform.status;

import org.jspecify.annotations.Nullable;

/** The other side was not reached, did not answer, or answered nonsense. Worth another try later. */
public final class ServiceUnreachable extends Exception {
    private static final long serialVersionUID = 1L;

    private final String brief;
    private final String fix;

    /**
     * @param brief the trouble in at most four words
     * @param sentence what failed and why
     * @param fix what the operator can do
     */
    public ServiceUnreachable(String brief, String sentence, String fix, @Nullable Throwable cause) {
        super(sentence, cause);
        this.brief = brief;
        this.fix = fix;
    }

    public String brief() {
        return brief;
    }

    public String fix() {
        return fix;
    }
}
