package yokebar.app.operate.contest.scoreboard;

import jakarta.persistence.EntityManager;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.secret.SecretBox;
import yokebar.app.platform.secret.StoredSecret;
import yokebar.links.services.tallyho.TallyHoClient;

/** Where and how often scores are posted, and which was the last. */
@Service
public class ScoreboardSettings {
    private static final int MAX_MINUTES = 60;
    private static final int LONGEST = 60;

    private final EntityManager db;
    private final SecretBox secrets;
    private final ApplicationEventPublisher events;

    ScoreboardSettings(EntityManager db, SecretBox secrets, ApplicationEventPublisher events) {
        this.db = db;
        this.secrets = secrets;
        this.events = events;
    }

    /** The scoreboard was set up otherwise. */
    record Changed() {}

    /**
     * What to set; what is left out stays.
     *
     * @param address of the scoreboard; empty for none
     * @param account empty for none
     * @param password never given back
     * @param clearPassword whether the stored one is forgotten
     * @param team empty for none
     * @param everyMinutes how often the score is posted, 1 to 60
     */
    record ScoreboardDraft(
            @Nullable String address,
            @Nullable String account,
            @Nullable String password,
            @Nullable Boolean clearPassword,
            @Nullable String team,
            @Nullable Integer everyMinutes) {}

    @Transactional(readOnly = true)
    public ScoreboardRow row() {
        return db.find(ScoreboardRow.class, ScoreboardRow.ID);
    }

    @Transactional
    public void save(ScoreboardDraft draft) {
        ScoreboardRow row = row();
        row.change(
                secrets,
                draft.address(),
                draft.account() == null ? null : shortened("account", draft.account()),
                StoredSecret.typed(draft.password(), draft.clearPassword()));
        if (draft.team() != null) {
            row.team = shortened("team", draft.team());
        }
        if (draft.everyMinutes() != null) {
            if (draft.everyMinutes() < 1 || draft.everyMinutes() > MAX_MINUTES) {
                throw new Rejection("everyMinutes", "A score is posted every 1 to " + MAX_MINUTES + " minutes.");
            }
            row.everyMinutes = draft.everyMinutes();
        }
        db.flush();
        events.publishEvent(new Changed());
    }

    private static String shortened(String field, String text) {
        if (text.strip().length() > LONGEST) {
            throw new Rejection(field, "That is longer than " + LONGEST + " characters.");
        }
        return text.strip();
    }

    /** Whether there is a password that opens. */
    boolean hasPassword(ScoreboardRow row) {
        return row.secret().usable(secrets);
    }

    /** What the operator should know of the password; null when nothing. */
    @Nullable
    String secretNotice(ScoreboardRow row) {
        return row.secret().notice(secrets);
    }

    /** The scoreboard; empty as long as address, account or password are missing. */
    @Transactional(readOnly = true)
    public Optional<TallyHoClient> client() {
        return row().complete(secrets).map(one -> new TallyHoClient(one.address(), one.account(), one.password()));
    }

    /** The last that was posted of a book; empty when none was. */
    @Transactional(readOnly = true)
    public Optional<PostRow> lastPost(long bookId) {
        return Optional.ofNullable(db.find(PostRow.class, bookId));
    }

    /** The next moment at which a score of the book may be posted; the distant past when none was. */
    @Transactional(readOnly = true)
    public Instant nextPost(long bookId, Instant now) {
        PostRow last = db.find(PostRow.class, bookId);
        if (last == null) {
            return Instant.EPOCH;
        }
        ScoreboardRow row = row();
        Duration wanted = bookId == PostRow.BY_HAND ? Duration.ZERO : Duration.ofMinutes(row.everyMinutes);
        Duration allowed = Duration.ofSeconds(row.allowedEveryS);
        // A post from the future was made before the clock was set back.
        Instant posted = last.postedAt.isAfter(now) ? now.minus(allowed) : last.postedAt;
        return posted.plus(wanted.compareTo(allowed) > 0 ? wanted : allowed);
    }

    /** @param allowed how often a score may be posted from now on */
    @Transactional
    public void posted(long bookId, Instant at, long score, int contacts, Duration allowed) {
        PostRow known = db.find(PostRow.class, bookId);
        PostRow row = known == null ? new PostRow() : known;
        row.bookId = bookId;
        row.postedAt = at;
        row.score = score;
        row.contacts = contacts;
        if (known == null) {
            db.persist(row);
        }
        row().allowedEveryS = (int) allowed.toSeconds();
    }
}
