package yokebar.app.services.delivery.identity;

import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import javax.security.auth.x500.X500Principal;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.secret.SecretBox;
import yokebar.app.platform.storage.RowCache;
import yokebar.app.station.profile.Station;
import yokebar.app.station.profile.StationView;
import yokebar.core.basics.call.Call;
import yokebar.core.services.delivery.SigningIdentity;
import yokebar.links.services.identity.IdentityFile;
import yokebar.links.services.identity.SigningKey;

/** The installed signing identities. */
@Service
public class Identities {
    private final EntityManager db;
    private final SecretBox secrets;
    private final Station station;
    private final Clock clock;
    private final RowCache<Integer, List<SigningIdentity>> known = new RowCache<>();
    /** By the identity's number. Deriving the key from the passphrase is slow on purpose, and a long handover is many batches. */
    private final Map<Long, SigningKey> opened = new ConcurrentHashMap<>();

    Identities(EntityManager db, SecretBox secrets, Station station, Clock clock) {
        this.clock = clock;
        this.db = db;
        this.station = station;
        this.secrets = secrets;
    }

    /** What can be signed for a service at present. */
    @Transactional(readOnly = true)
    public List<SigningIdentity> of(int serviceId) {
        return known.get(
                serviceId,
                // Which there are is always read anew, and what one is for never changes.
                () -> rows(serviceId).stream().map(Identities::identity).toList());
    }

    /**
     * Installs an identity from its PKCS#12 file. It takes the place of one for the same call and dates that ends earlier; one
     * that ends later stays and goes on signing.
     *
     * @param passphrase of the file
     * @throws Rejection when it cannot be used, or is of another issuer than the valid one of its call
     */
    @Transactional
    public SigningIdentity install(int serviceId, byte[] pkcs12, String passphrase) {
        SigningKey key = usable(pkcs12, passphrase);
        SigningIdentity identity = key.identity();
        SigningIdentityRow row = new SigningIdentityRow();
        for (SigningIdentityRow before : rows(serviceId)) {
            SigningIdentity installed = identity(before);
            checkIssuer(before, installed, key);
            if (installed.coversTheSame(identity)) {
                row.placeId = before.placeId;
                if (!endsLater(installed, identity)) {
                    db.remove(before);
                }
            }
        }
        row.serviceId = serviceId;
        row.callSign = identity.call().text();
        row.validFrom = identity.validFrom();
        row.validUntil = identity.validUntil();
        row.certificateEnds = key.certificate().getNotAfter().toInstant();
        row.sealedFile = secrets.seal(pkcs12);
        row.sealedPassphrase = secrets.seal(passphrase.getBytes(StandardCharsets.UTF_8));
        db.persist(row);
        db.flush();
        known.forget();
        return identity;
    }

    private SigningKey usable(byte[] pkcs12, String passphrase) {
        try {
            SigningKey key = IdentityFile.open(pkcs12, passphrase.toCharArray());
            if (!key.identity().signsAt(clock.instant())) {
                throw new Rejection(
                        "file",
                        "The certificate of " + key.identity().call() + " ended on "
                                + key.certificate()
                                        .getNotAfter()
                                        .toInstant()
                                        .toString()
                                        .substring(0, 10)
                                + " and signs nothing more. Install its renewed file, or request a new one.");
            }
            return key;
        } catch (IdentityFile.UnusableIdentity e) {
            throw new Rejection("file", e.getMessage() == null ? "The identity is unusable." : e.getMessage());
        }
    }

    /** One of another issuer is hardly for this service; as the fresher one it would sign, and be refused. */
    private void checkIssuer(SigningIdentityRow before, SigningIdentity installed, SigningKey key) {
        if (installed.call().equals(key.identity().call()) && installed.signsAt(clock.instant()) && opens(before)) {
            X500Principal issuer = open(before).certificate().getIssuerX500Principal();
            if (!issuer.equals(key.certificate().getIssuerX500Principal())) {
                throw new Rejection(
                        "file",
                        "The certificate was issued by " + key.certificate().getIssuerX500Principal()
                                + ", the valid one of " + installed.call() + " by " + issuer
                                + ". Take that one away first if this is the right one.");
            }
        }
    }

    private static boolean endsLater(SigningIdentity one, SigningIdentity other) {
        return one.certificateEnds() != null
                && other.certificateEnds() != null
                && one.certificateEnds().isAfter(other.certificateEnds());
    }

    /** Whether the certificate of an installed identity ends soon. */
    public boolean isToBeRenewed(SigningIdentityRow row) {
        return identity(row).isToBeRenewed(clock.instant());
    }

    /** What is unusual about an installed identity, in one sentence; null when nothing is. */
    @Transactional(readOnly = true)
    public @Nullable String notice(SigningIdentityRow row) {
        SigningIdentity identity = identity(row);
        if (!opens(row)) {
            return "Its key cannot be opened with the key of this computer (secrets.key). Install it again from its file, or"
                    + " request a new one.";
        }
        if (!identity.signsAt(clock.instant())) {
            return "Its certificate has ended, so it signs nothing more. Request a new one.";
        }
        if (!station.ownCalls().calls().isEmpty() && !station.ownCalls().includes(identity.call())) {
            return identity.call() + " is not one of your calls. If it is, enter it under Station.";
        }
        boolean anotherSigns = of(row.serviceId).stream()
                .anyMatch(other -> other.coversTheSame(identity) && endsLater(other, identity));
        return anotherSigns ? "It signs nothing while another one for the same days ends later." : null;
    }

    /** The key of an identity, opened for signing; of several for the same dates the one that ends last. */
    @Transactional(readOnly = true)
    public Optional<SigningKey> key(int serviceId, SigningIdentity identity) {
        return rows(serviceId).stream()
                .filter(row -> identity(row).equals(identity) && opens(row))
                .findFirst()
                .map(this::open);
    }

    /** The locator of the place an identity is for; null when it is for none. */
    @Transactional(readOnly = true)
    public @Nullable String locator(int serviceId, SigningIdentity identity) {
        return rows(serviceId).stream()
                .filter(row -> row.placeId != null && identity(row).equals(identity))
                .flatMap(row ->
                        station.view().places().stream().filter(place -> Objects.equals(place.id(), row.placeId)))
                .map(StationView.PlaceView::locator)
                .findFirst()
                .orElse(null);
    }

    /** @param placeId null for no place */
    @Transactional
    public void setPlace(long identityId, @Nullable Long placeId) {
        if (placeId != null && station.view().places().stream().noneMatch(place -> place.id() == placeId)) {
            throw new Rejection("placeId", "This place is not among your places any more.");
        }
        row(identityId).placeId = placeId;
    }

    /** The key of an installed identity by its number. */
    @Transactional(readOnly = true)
    public SigningKey key(long identityId) {
        return open(row(identityId));
    }

    /** Takes an identity away; contacts made under its call are held from then on. */
    @Transactional
    public void remove(long identityId) {
        SigningIdentityRow row = row(identityId);
        db.remove(row);
        db.flush();
        known.forget();
        opened.remove(identityId);
    }

    @Transactional(readOnly = true)
    public List<SigningIdentityRow> installed(int serviceId) {
        return rows(serviceId);
    }

    private SigningIdentityRow row(long identityId) {
        SigningIdentityRow row = db.find(SigningIdentityRow.class, identityId);
        if (row == null) {
            throw new Rejection("identity", "This identity is not installed any more.");
        }
        return row;
    }

    /** Whether the stored key can be opened with the key of this computer. */
    boolean opens(SigningIdentityRow row) {
        return secrets.opens(row.sealedFile) && secrets.opens(row.sealedPassphrase);
    }

    private SigningKey open(SigningIdentityRow row) {
        if (!opens(row)) {
            throw new Rejection(
                    "identity",
                    "The signing identity of " + row.callSign + " cannot be opened with the key of this computer"
                            + " (secrets.key). Install it again from its file, or request a new one.");
        }
        return opened.computeIfAbsent(row.number(), id -> fromFile(row));
    }

    private SigningKey fromFile(SigningIdentityRow row) {
        try {
            return IdentityFile.open(
                    secrets.open(row.sealedFile),
                    secrets.openText(row.sealedPassphrase).toCharArray());
        } catch (IdentityFile.UnusableIdentity e) {
            throw new IllegalStateException("a stored identity no longer opens", e);
        }
    }

    private static SigningIdentity identity(SigningIdentityRow row) {
        return new SigningIdentity(new Call(row.callSign), row.validFrom, row.validUntil, row.certificateEnds);
    }

    /** Those that end last come first: where several cover a contact, the freshest signs it. */
    private List<SigningIdentityRow> rows(int serviceId) {
        return db.createQuery(
                        "from SigningIdentityRow where serviceId = :service"
                                + " order by certificateEnds desc nulls last, id",
                        SigningIdentityRow.class)
                .setParameter("service", serviceId)
                .getResultList();
    }
}
