package yokebar.standins.conformance;

import java.io.PrintStream;
import java.net.URI;
import java.util.List;

/** Tries on a service whether it keeps to its protocol, and says of each demand whether it is met. */
public final class Conformance {
    /** The protocols there are demands for. */
    public static final List<String> PROTOCOLS = List.of("countersign", "quayside", "postbag", "callbook");

    private Conformance() {}

    /**
     * @param base the service's base address
     * @param account name and password with a colon between, or an API key
     * @return how many demands are not met
     * @throws IllegalArgumentException for a protocol that is not known
     */
    public static int run(String protocol, URI base, String account, PrintStream out) {
        List<Demand> demands =
                switch (protocol) {
                    case "countersign" -> CountersignDemands.of(Peer.basic(base, account));
                    case "quayside" -> QuaysideDemands.of(Peer.bearer(base, account));
                    case "postbag" -> PostbagDemands.of(Peer.basic(base, account));
                    case "callbook" -> CallbookDemands.of(base, account);
                    default ->
                        throw new IllegalArgumentException("There is no protocol " + protocol + "; there are "
                                + String.join(", ", PROTOCOLS) + ".");
                };
        int unmet = 0;
        for (Demand demand : demands) {
            String fault = fault(demand);
            unmet += fault == null ? 0 : 1;
            out.println(
                    (fault == null ? "met    " : "UNMET  ") + demand.sentence() + (fault == null ? "" : ": " + fault));
        }
        out.println(
                unmet == 0
                        ? "All " + demands.size() + " demands are met."
                        : unmet + " of " + demands.size() + " demands are not met.");
        return unmet;
    }

    private static @org.jspecify.annotations.Nullable String fault(Demand demand) {
        try {
            demand.trial().run();
            return null;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return "it was ended";
        } catch (Exception e) {
            return e instanceof Demand.Unmet ? e.getMessage() : e.toString();
        }
    }
}
