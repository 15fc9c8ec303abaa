package yokebar.app.delivery;

import jakarta.persistence.EntityManager;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.FieldProblem;
import yokebar.app.safety.SecretBox;
import yokebar.app.station.Station;
import yokebar.app.station.StationView;
import yokebar.core.call.Call;
import yokebar.core.delivery.SigningIdentity;
import yokebar.links.identity.IdentityFile;
import yokebar.links.identity.SigningKey;

/** The installed signing identities. */
@Service
class Identities {
    private final EntityManager db;
    private final SecretBox secrets;
    private final Station station;
    private final Map<Integer, List<SigningIdentity>> known = new ConcurrentHashMap<>();
    /** By the identity's number. Deriving the key from the passphrase is slow on purpose, and a long handover is many batches. */
    private final Map<Long, SigningKey> opened = new ConcurrentHashMap<>();

    Identities(EntityManager db, SecretBox secrets, Station station) {
        this.db = db;
        this.station = station;
        this.secrets = secrets;
    }

    /** What can be signed for a service at present. */
    @Transactional(readOnly = true)
    public List<SigningIdentity> of(int serviceId) {
        return known.computeIfAbsent(
                serviceId, id -> rows(id).stream().map(Identities::identity).toList());
    }

    /**
     * Installs an identity from its PKCS#12 file; one for the same call and dates is replaced.
     *
     * @param passphrase of the file
     */
    @Transactional
    public SigningIdentity install(int serviceId, byte[] pkcs12, String passphrase) {
        SigningKey key;
        try {
            key = IdentityFile.open(pkcs12, passphrase.toCharArray());
        } catch (IdentityFile.UnusableIdentity e) {
            throw new FieldProblem("file", e.getMessage() == null ? "The identity is unusable." : e.getMessage());
        }
        SigningIdentity identity = key.identity();
        SigningIdentityRow row = new SigningIdentityRow();
        for (SigningIdentityRow before : rows(serviceId)) {
            if (identity(before).equals(identity)) {
                row.placeId = before.placeId;
                db.remove(before);
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
        known.remove(serviceId);
        return identity;
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
            throw new FieldProblem("placeId", "This place is not among your places any more.");
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
        known.remove(row.serviceId);
        opened.remove(identityId);
    }

    @Transactional(readOnly = true)
    public List<SigningIdentityRow> installed(int serviceId) {
        return rows(serviceId);
    }

    private SigningIdentityRow row(long identityId) {
        SigningIdentityRow row = db.find(SigningIdentityRow.class, identityId);
        if (row == null) {
            throw new FieldProblem("identity", "This identity is not installed any more.");
        }
        return row;
    }

    /** Whether the stored key can be opened with the key of this computer. */
    boolean opens(SigningIdentityRow row) {
        return secrets.opens(row.sealedFile) && secrets.opens(row.sealedPassphrase);
    }

    private SigningKey open(SigningIdentityRow row) {
        if (!opens(row)) {
            throw new FieldProblem(
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
        return new SigningIdentity(new Call(row.callSign), row.validFrom, row.validUntil);
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
