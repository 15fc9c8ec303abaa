package yokebar.links.platform.status;

/** The other side was reached and said no. Asking again in the same way would not help. */
public final class ServiceRefused extends Exception {
    private static final long serialVersionUID = 1L;

    /** What the refusal is about. */
    public enum About {
        /** Who we are there: name, password, key. What was sent may be fine. */
        ACCOUNT,
        /** That we may do this, as when a certificate has ended. The account is good and what was sent may be fine. */
        PERMISSION,
        /** What was sent. */
        CONTENT
    }

    private final About about;
    private final String brief;
    private final String fix;

    /**
     * @param brief the trouble in at most four words
     * @param sentence what it refused, with its own words
     * @param fix what the operator can do
     */
    public ServiceRefused(About about, String brief, String sentence, String fix) {
        super(sentence);
        this.about = about;
        this.brief = brief;
        this.fix = fix;
    }

    public About about() {
        return about;
    }

    public String brief() {
        return brief;
    }

    public String fix() {
        return fix;
    }
}
