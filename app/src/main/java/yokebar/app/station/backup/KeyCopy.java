package yokebar.app.station.backup;

import jakarta.persistence.EntityManager;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.platform.lifecycle.RestartAsked;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.secret.SecretBox;
import yokebar.app.platform.secret.SecretLocked;

/**
 * A copy of the key that opens passwords and signing identities, sealed with a passphrase that is stored nowhere. It lies among
 * the settings and so is in each backup; on another computer the passphrase opens it.
 */
@Service
class KeyCopy {
    private static final int MIN_CHARACTERS = 12;
    private static final int MAX_CHARACTERS = 200;

    private final EntityManager db;
    private final SecretBox secrets;
    private final ApplicationEventPublisher events;

    KeyCopy(EntityManager db, SecretBox secrets, ApplicationEventPublisher events) {
        this.db = db;
        this.secrets = secrets;
        this.events = events;
    }

    /** Whether there is one. */
    enum State {
        NONE,
        /** Backups hold the key of this computer. */
        KEPT,
        /** The log came with the key of another computer, which its passphrase opens. */
        LOCKED
    }

    State state(SafetyRow row) {
        if (row.keyCopy == null) {
            return State.NONE;
        }
        return row.keyCopyMark != null && secrets.opens(row.keyCopyMark) ? State.KEPT : State.LOCKED;
    }

    /** @param passphrase 12 to 200 characters; empty to keep no copy any more */
    @Transactional
    public void keep(String passphrase) {
        SafetyRow row = row();
        if (passphrase.isEmpty()) {
            row.keyCopy = null;
            row.keyCopyMark = null;
            return;
        }
        if (passphrase.length() < MIN_CHARACTERS || passphrase.length() > MAX_CHARACTERS) {
            throw new Rejection(
                    "passphrase",
                    "Use " + MIN_CHARACTERS + " to " + MAX_CHARACTERS + " characters, such as four words or more.");
        }
        seal(row, passphrase);
    }

    /** Takes the key out of the copy that came with the log, and asks for a restart that uses it. */
    @Transactional
    public void open(String passphrase) {
        SafetyRow row = row();
        if (row.keyCopy == null) {
            throw new Rejection("passphrase", "This log has no copy of its key.");
        }
        try {
            secrets.addKeys(row.keyCopy, passphrase.toCharArray());
        } catch (SecretLocked e) {
            throw new Rejection("passphrase", "This is not the passphrase the key was encrypted with. Try again.");
        }
        // From now on backups hold the keys of both computers.
        seal(row, passphrase);
        events.publishEvent(new RestartAsked());
    }

    private void seal(SafetyRow row, String passphrase) {
        row.keyCopy = secrets.sealKeys(passphrase.toCharArray());
        row.keyCopyMark = secrets.seal("key copy");
    }

    private SafetyRow row() {
        return db.find(SafetyRow.class, SafetyRow.ID);
    }
}
