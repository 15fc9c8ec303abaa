package yokebar.app.operate.contest.adjudicator;

import jakarta.persistence.EntityManager;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.secret.SecretBox;
import yokebar.app.platform.secret.StoredSecret;
import yokebar.links.services.faircopy.FairCopyClient;

/** The account under which logs are handed in. */
@Service
public class AdjudicatorSettings {
    private static final int LONGEST = 60;

    private final EntityManager db;
    private final SecretBox secrets;
    private final ApplicationEventPublisher events;

    AdjudicatorSettings(EntityManager db, SecretBox secrets, ApplicationEventPublisher events) {
        this.db = db;
        this.secrets = secrets;
        this.events = events;
    }

    /** The adjudicator was set up otherwise. */
    record Changed() {}

    /**
     * What to set; what is left out stays.
     *
     * @param address of the adjudicator; empty for none
     * @param account empty for none
     * @param password never given back
     * @param clearPassword whether the stored one is forgotten
     */
    record AdjudicatorDraft(
            @Nullable String address,
            @Nullable String account,
            @Nullable String password,
            @Nullable Boolean clearPassword) {}

    /**
     * Where logs are handed in.
     *
     * @param hookup the coupling
     * @param address of the adjudicator; null while it is not set up
     * @param account null while it is not set up
     * @param hasPassword whether one is stored
     * @param secretNotice what there is to know of the password, as that it must be typed again; null when nothing
     */
    record AdjudicatorView(
            String hookup,
            @Nullable String address,
            @Nullable String account,
            boolean hasPassword,
            @Nullable String secretNotice) {}

    @Transactional(readOnly = true)
    public AdjudicatorView view() {
        AdjudicatorRow row = row();
        StoredSecret secret = row.secret();
        return new AdjudicatorView(
                Adjudicator.ID, row.address, row.account, secret.usable(secrets), secret.notice(secrets));
    }

    @Transactional
    public void save(AdjudicatorDraft draft) {
        if (draft.account() != null && draft.account().strip().length() > LONGEST) {
            throw new Rejection("account", "That is longer than " + LONGEST + " characters.");
        }
        row().change(
                        secrets,
                        draft.address(),
                        draft.account(),
                        StoredSecret.typed(draft.password(), draft.clearPassword()));
        db.flush();
        events.publishEvent(new Changed());
    }

    /** The adjudicator; empty as long as address, account or password are missing. */
    @Transactional(readOnly = true)
    public Optional<FairCopyClient> client() {
        return row().complete(secrets).map(one -> new FairCopyClient(one.address(), one.account(), one.password()));
    }

    private AdjudicatorRow row() {
        return db.find(AdjudicatorRow.class, AdjudicatorRow.ID);
    }
}
