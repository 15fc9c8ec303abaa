package yokebar.standins.conformance;

import java.io.IOException;
import java.io.PrintStream;
import java.net.URI;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.util.ArrayList;
import java.util.List;

/** Tries on a service whether it keeps to its protocol, and says of each demand whether it is met. */
public final class Conformance {
    /** The protocols there are demands for. */
    public static final List<String> PROTOCOLS = List.of(
            "countersign",
            "quayside",
            "postbag",
            "callbook",
            "reference",
            "radio-mail",
            "digital-link-log",
            "digital-link-program");

    private Conformance() {}

    /**
     * @return how many demands are not met
     * @throws IllegalArgumentException for a protocol that is not known, or when the identity cannot be read
     */
    public static int run(String protocol, Subject subject, PrintStream out) {
        URI base = subject.address();
        String account = subject.account();
        List<Demand> demands =
                switch (protocol) {
                    case "countersign" -> countersign(subject);
                    case "quayside" -> QuaysideDemands.of(Peer.bearer(base, account));
                    case "postbag" -> PostbagDemands.of(Peer.basic(base, account));
                    case "callbook" -> CallbookDemands.of(base, account);
                    case "reference" -> ReferenceDemands.of(Peer.bearer(base, account));
                    case "radio-mail" -> new RadioMailDemands(base, account).all();
                    case "digital-link-log" -> new DigitalLogDemands(base).all();
                    case "digital-link-program" -> new DigitalProgramDemands(base).all();
                    default ->
                        throw new IllegalArgumentException("There is no protocol " + protocol + "; there are "
                                + String.join(", ", PROTOCOLS) + ".");
                };
        return tried(demands, out);
    }

    static int tried(List<Demand> demands, PrintStream out) {
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

    /** With an identity also what needs one. */
    private static List<Demand> countersign(Subject subject) {
        Peer peer = Peer.basic(subject.address(), subject.account());
        Path file = subject.identity();
        if (file == null) {
            return CountersignDemands.of(peer);
        }
        try {
            List<Demand> demands = new ArrayList<>(CountersignDemands.of(peer));
            demands.addAll(new SigningDemands(peer, Identity.read(file, subject.passphrase())).all());
            return demands;
        } catch (IOException | GeneralSecurityException e) {
            throw new IllegalArgumentException(
                    file + " cannot be opened as a PKCS#12 file with that passphrase: " + e.getMessage(), e);
        }
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
