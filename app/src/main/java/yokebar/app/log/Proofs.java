package yokebar.app.log;

/** Who proved a contact, a bit each, as {@link yokebar.core.operate.need.WorkedBefore} counts them. */
public final class Proofs {
    /** Marks that came with an imported record. */
    public static final int ELSEWHERE = 1;

    private static final int MAX_SERVICES = 7;

    private Proofs() {}

    /** @param serviceId 1 to 7 */
    public static int by(int serviceId) {
        if (serviceId < 1 || serviceId > MAX_SERVICES) {
            throw new IllegalArgumentException("proofs are counted for seven services");
        }
        return 1 << serviceId;
    }
}
