package yokebar.app.services.delivery.identity;

import jakarta.persistence.EntityManager;
import java.security.GeneralSecurityException;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.format.DateTimeParseException;
import java.util.Base64;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.support.TransactionTemplate;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.secret.SecretBox;
import yokebar.app.platform.secret.SecretLocked;
import yokebar.app.services.delivery.Services;
import yokebar.app.services.delivery.adapter.ServiceAdapter;
import yokebar.app.sources.hookup.Hookup;
import yokebar.core.basics.call.Call;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.links.services.delivery.Receipt;
import yokebar.links.services.identity.CertificateRequest;
import yokebar.links.services.identity.IdentityFile;
import yokebar.links.services.identity.SignedBatch;
import yokebar.links.services.identity.SigningKey;

/**
 * How an identity comes into being: a request is made and sent, a letter brings a code, the code brings the certificate. The
 * private key is made here and never leaves, but in a file the operator asks for under a passphrase of their own.
 */
@Service
public class Enrolment {
    private static final SecureRandom RANDOM = new SecureRandom();
    private static final int PASSPHRASE_BYTES = 24;
    private static final int SHORTEST_PASSPHRASE = 8;
    private static final String EVERY_DAY = "9999-12-31";

    private final EntityManager db;
    private final Services services;
    private final Identities identities;
    private final SecretBox secrets;
    private final Clock clock;
    private final TransactionTemplate transaction;

    Enrolment(
            EntityManager db,
            Services services,
            Identities identities,
            SecretBox secrets,
            Clock clock,
            TransactionTemplate transaction) {
        this.db = db;
        this.services = services;
        this.identities = identities;
        this.secrets = secrets;
        this.clock = clock;
        this.transaction = transaction;
    }

    /**
     * What is asked for.
     *
     * @param fromDay the first day of contacts it shall cover, such as {@code 2015-01-01}
     * @param untilDay the last one; empty for no end
     * @param postalAddress where the letter goes
     */
    public record CertificateDraft(String call, String fromDay, @Nullable String untilDay, String postalAddress) {}

    public void ask(int serviceId, CertificateDraft draft) {
        Call call = Call.read(draft.call());
        if (call == null) {
            throw new Rejection("call", "\"" + draft.call() + "\" cannot be a call.");
        }
        LocalDate from = day("fromDay", draft.fromDay());
        LocalDate until =
                day("untilDay", draft.untilDay() == null || draft.untilDay().isBlank() ? EVERY_DAY : draft.untilDay());
        if (until.isBefore(from)) {
            throw new Rejection("untilDay", "The last day lies before the first one.");
        }
        if (draft.postalAddress().isBlank() || draft.postalAddress().length() > 400) {
            throw new Rejection("postalAddress", "Where shall the letter with the code go? Up to 400 characters.");
        }
        IdentityRequestRow row = new IdentityRequestRow();
        row.serviceId = serviceId;
        row.callSign = call.text();
        row.contactsFrom = from.atStartOfDay().toInstant(ZoneOffset.UTC);
        row.contactsUntil =
                until.plusDays(1).atStartOfDay().toInstant(ZoneOffset.UTC).minusSeconds(1);
        row.postalAddress = draft.postalAddress().strip();
        row.askedAt = clock.instant();
        try {
            CertificateRequest.Pending pending = CertificateRequest.make(call);
            Receipt receipt =
                    certificates(serviceId).ask(pending.pem(), row.contactsFrom, row.contactsUntil, row.postalAddress);
            row.number = receipt.number();
            row.words = receipt.words();
            row.sealedKey = secrets.seal(pending.privateKey());
        } catch (ServiceRefused | ServiceUnreachable | GeneralSecurityException e) {
            throw new Rejection("call", String.valueOf(e.getMessage()));
        }
        transaction.executeWithoutResult(status -> db.persist(row));
    }

    /** The letter is there. */
    public void collect(int serviceId, long requestId, String code) {
        IdentityRequestRow row = request(requestId);
        String passphrase = passphrase();
        byte[] identity;
        try {
            String certificate = certificates(serviceId).collect(row.number, code.strip());
            identity = CertificateRequest.identity(secrets.open(row.sealedKey), certificate, passphrase.toCharArray());
        } catch (SecretLocked e) {
            throw new Rejection(
                    "code",
                    "This request was made with another key than the one in secrets.key and cannot be completed. Cancel it"
                            + " and request a new certificate.");
        } catch (ServiceRefused | ServiceUnreachable | IdentityFile.UnusableIdentity e) {
            throw new Rejection("code", String.valueOf(e.getMessage()));
        }
        transaction.executeWithoutResult(status -> {
            identities.install(serviceId, identity, passphrase);
            db.remove(request(requestId));
        });
    }

    /** Gives up a request; the letter will be of no use. */
    public void giveUp(long requestId) {
        transaction.executeWithoutResult(status -> db.remove(request(requestId)));
    }

    /** Asks for a new certificate with the present one. */
    public void renew(int serviceId, long identityId) {
        SigningKey present = identities.key(identityId);
        String passphrase = passphrase();
        byte[] identity;
        try {
            CertificateRequest.Pending pending =
                    CertificateRequest.make(present.identity().call());
            String certificate = certificates(serviceId).renew(SignedBatch.sign(pending.request(), present));
            identity = CertificateRequest.identity(pending.privateKey(), certificate, passphrase.toCharArray());
        } catch (ServiceRefused | ServiceUnreachable | IdentityFile.UnusableIdentity | GeneralSecurityException e) {
            throw new Rejection("identity", String.valueOf(e.getMessage()));
        }
        transaction.executeWithoutResult(status -> identities.install(serviceId, identity, passphrase));
    }

    /** Signs something with an identity and looks whether its certificate verifies it, and until when it holds. */
    public Hookup.Proof test(long identityId) {
        SigningKey key = identities.key(identityId);
        Instant ends = key.certificate().getNotAfter().toInstant();
        String day = ends.toString().substring(0, 10);
        try {
            if (!CertificateRequest.signs(key)) {
                return new Hookup.Proof(false, "The key and the certificate do not belong together.");
            }
        } catch (GeneralSecurityException e) {
            return new Hookup.Proof(false, "It does not sign: " + e.getMessage() + ".");
        }
        return ends.isBefore(clock.instant())
                ? new Hookup.Proof(false, "It signs, but its certificate ended on " + day + ". Renew it or ask anew.")
                : new Hookup.Proof(
                        true, "It signs as " + key.identity().call() + "; its certificate holds until " + day + ".");
    }

    /**
     * The identity as a file to keep elsewhere.
     *
     * @param passphrase for the file; it is not stored
     */
    public byte[] export(long identityId, String passphrase) {
        if (passphrase.length() < SHORTEST_PASSPHRASE) {
            throw new Rejection(
                    "passphrase", "Take at least " + SHORTEST_PASSPHRASE + " characters: the file can sign as you.");
        }
        try {
            return CertificateRequest.export(identities.key(identityId), passphrase.toCharArray());
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("a stored identity could not be written", e);
        }
    }

    public List<IdentityRequestRow> waiting(int serviceId) {
        return db.createQuery(
                        "from IdentityRequestRow where serviceId = :service order by id", IdentityRequestRow.class)
                .setParameter("service", serviceId)
                .getResultList();
    }

    private ServiceAdapter.CertificateDesk certificates(int serviceId) {
        if (!services.complete(serviceId)) {
            throw new Rejection("call", "Save the account first: requests are made under it.");
        }
        return services.account(serviceId)
                .kind()
                .certificates(services.login(serviceId))
                .orElseThrow(() -> new Rejection("call", "This service needs no certificates."));
    }

    private IdentityRequestRow request(long requestId) {
        IdentityRequestRow row = db.find(IdentityRequestRow.class, requestId);
        if (row == null) {
            throw new Rejection("request", "This request is not waiting any more.");
        }
        return row;
    }

    private static LocalDate day(String field, String text) {
        try {
            return LocalDate.parse(text.strip());
        } catch (DateTimeParseException e) {
            throw new Rejection(field, "\"" + text.strip() + "\" is not a date; write it as 2026-05-01.");
        }
    }

    private static String passphrase() {
        byte[] random = new byte[PASSPHRASE_BYTES];
        RANDOM.nextBytes(random);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(random);
    }
}
