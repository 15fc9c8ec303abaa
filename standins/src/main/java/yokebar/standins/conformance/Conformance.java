package yokebar.standins.conformance;

import java.io.IOException;
import java.io.PrintStream;
import java.net.URI;
import java.nio.file.Path;
import java.security.GeneralSecurityException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;

/** Tests whether a service keeps to its protocol, and prints of each requirement whether it is met. */
public final class Conformance {
    /** The protocols there are requirements for. */
    public static final List<String> PROTOCOLS = List.of(
            "countersign",
            "quayside",
            "postbag",
            "callbook",
            "reference",
            "tally-ho",
            "fair-copy",
            "radio-mail",
            "digital-link-log",
            "digital-link-program",
            "text-feed");

    private static final Duration TEXT_IS_LISTENED_TO = Duration.ofSeconds(10);
    private static final Duration TEXT_IS_SENT_WITHIN = Duration.ofSeconds(15);

    private Conformance() {}

    /**
     * @return how many requirements are not met
     * @throws IllegalArgumentException for a protocol that is not known, or when the identity cannot be read
     */
    public static int run(String protocol, Subject subject, PrintStream out) {
        URI base = subject.address();
        String account = subject.account();
        List<Requirement> requirements =
                switch (protocol) {
                    case "countersign" -> countersign(subject);
                    case "quayside" -> QuaysideRequirements.of(Peer.bearer(base, account));
                    case "postbag" -> PostbagRequirements.of(Peer.basic(base, account));
                    case "callbook" -> CallbookRequirements.of(base, account);
                    case "reference" -> ReferenceRequirements.of(Peer.bearer(base, account));
                    case "tally-ho" -> new TallyHoRequirements(Peer.basic(base, account)).all();
                    case "fair-copy" -> new FairCopyRequirements(Peer.basic(base, account)).all();
                    case "radio-mail" -> new RadioMailRequirements(base, account).all();
                    case "digital-link-log" -> new DigitalLogRequirements(base).all();
                    case "digital-link-program" -> new DigitalProgramRequirements(base).all();
                    case "text-feed" -> new TextFeedRequirements(base, TEXT_IS_LISTENED_TO, TEXT_IS_SENT_WITHIN).all();
                    default ->
                        throw new IllegalArgumentException("There is no protocol " + protocol + "; there are "
                                + String.join(", ", PROTOCOLS) + ".");
                };
        return tried(requirements, out);
    }

    static int tried(List<Requirement> requirements, PrintStream out) {
        int unmet = 0;
        for (Requirement requirement : requirements) {
            String fault = fault(requirement);
            unmet += fault == null ? 0 : 1;
            out.println((fault == null ? "met    " : "UNMET  ")
                    + requirement.sentence()
                    + (fault == null ? "" : ": " + fault));
        }
        out.println(
                unmet == 0
                        ? "All " + requirements.size() + " requirements are met."
                        : unmet + " of " + requirements.size() + " requirements are not met.");
        return unmet;
    }

    /** With an identity also what needs one. */
    private static List<Requirement> countersign(Subject subject) {
        Peer peer = Peer.basic(subject.address(), subject.account());
        Path file = subject.identity();
        if (file == null) {
            return CountersignRequirements.of(peer);
        }
        try {
            List<Requirement> requirements = new ArrayList<>(CountersignRequirements.of(peer));
            requirements.addAll(new SigningRequirements(peer, Identity.read(file, subject.passphrase())).all());
            return requirements;
        } catch (IOException | GeneralSecurityException e) {
            throw new IllegalArgumentException(
                    file + " cannot be opened as a PKCS#12 file with that passphrase: " + e.getMessage(), e);
        }
    }

    private static @org.jspecify.annotations.Nullable String fault(Requirement requirement) {
        try {
            requirement.trial().run();
            return null;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return "it was ended";
        } catch (Exception e) {
            return e instanceof Requirement.Unmet ? e.getMessage() : e.toString();
        }
    }
}
