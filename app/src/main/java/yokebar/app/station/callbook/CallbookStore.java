package yokebar.app.station.callbook;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.secret.SecretBox;
import yokebar.app.platform.secret.StoredSecret;
import yokebar.app.platform.storage.BulkInsert;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.call.CallParts;
import yokebar.links.station.callbook.CallbookAccount;
import yokebar.links.station.callbook.CallbookEntry;

/** What callbooks have told so far, and the settings for asking. */
@Service
class CallbookStore {
    /** A station may turn up in the callbook any day. */
    private static final Duration UNKNOWN_STANDS = Duration.ofDays(1);

    private static final int LONGEST_CONFIRMS = 1000;

    private final EntityManager db;
    private final BulkInsert bulk;
    private final SecretBox secrets;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    CallbookStore(EntityManager db, BulkInsert bulk, SecretBox secrets, ApplicationEventPublisher events, Clock clock) {
        this.db = db;
        this.bulk = bulk;
        this.secrets = secrets;
        this.events = events;
        this.clock = clock;
    }

    /** The settings are different now. */
    record Changed() {}

    /** A picture as it came. */
    record Picture(String type, byte[] content) {}

    /**
     * What to set; what is left out stays.
     *
     * @param address empty for no callbook on the network
     * @param password never given back
     * @param freshDays 1 to 3650
     */
    record CallbookDraft(
            @Nullable String address,
            @Nullable String account,
            @Nullable String password,
            @Nullable Boolean clearPassword,
            @Nullable Integer freshDays) {}

    @Transactional(readOnly = true)
    public CallbookRow row() {
        return db.find(CallbookRow.class, CallbookRow.ID);
    }

    @Transactional
    public void save(CallbookDraft draft) {
        CallbookRow row = row();
        row.change(
                secrets, draft.address(), draft.account(), StoredSecret.typed(draft.password(), draft.clearPassword()));
        if (draft.freshDays() != null) {
            if (draft.freshDays() < 1 || draft.freshDays() > 3650) {
                throw new Rejection("freshDays", "An answer stays fresh for 1 to 3650 days.");
            }
            row.freshDays = draft.freshDays();
        }
        db.flush();
        events.publishEvent(new Changed());
    }

    /** Whether there is a password that opens. */
    boolean hasPassword(CallbookRow row) {
        return row.secret().usable(secrets);
    }

    /** What the operator should know of the password; null when nothing. */
    @Nullable
    String secretNotice(CallbookRow row) {
        return row.secret().notice(secrets);
    }

    /** Where and as whom to ask; empty as long as something of it is missing. */
    @Transactional(readOnly = true)
    public Optional<CallbookAccount> account() {
        return row().complete(secrets).map(one -> new CallbookAccount(one.address(), one.account(), one.password()));
    }

    /** What was answered or read before; the answer from the network stands above the file. */
    @Transactional(readOnly = true)
    public Optional<KnownStation> known(Call call) {
        String base = CallParts.of(call).base();
        boolean home = base.equals(call.text());
        CallbookAnswer answer = db.find(CallbookAnswer.class, base);
        CallbookFileEntry line = db.find(CallbookFileEntry.class, base);
        boolean answered = answer != null && answer.known;
        if (!answered && line == null) {
            return Optional.empty();
        }
        CallbookAnswer a = answered ? answer : new CallbookAnswer();
        CallbookFileEntry f = line == null ? new CallbookFileEntry() : line;
        return Optional.of(new KnownStation(
                first(a.name, f.name),
                first(a.town, f.town),
                home ? first(a.state, f.state) : null,
                first(a.country, f.country),
                home ? first(a.locator, f.locator) : null,
                confirms(a.confirms),
                a.hasPicture,
                answered ? a.answeredAt : null));
    }

    /** Whether the network need not be asked again yet. */
    @Transactional(readOnly = true)
    public boolean fresh(String base) {
        CallbookAnswer answer = db.find(CallbookAnswer.class, base);
        if (answer == null) {
            return false;
        }
        Duration stands = answer.known ? Duration.ofDays(row().freshDays) : UNKNOWN_STANDS;
        Instant now = clock.instant();
        // An answer from the future was stored before the clock was set back.
        return !answer.answeredAt.isAfter(now) && answer.answeredAt.plus(stands).isAfter(now);
    }

    @Transactional(readOnly = true)
    public Optional<Picture> picture(Call call) {
        CallbookPicture picture =
                db.find(CallbookPicture.class, CallParts.of(call).base());
        return picture == null ? Optional.empty() : Optional.of(new Picture(picture.mediaType, picture.content));
    }

    /**
     * @param base without additions
     * @param entry null when the callbook does not know the call
     */
    @Transactional
    public void keep(Call base, @Nullable CallbookEntry entry, @Nullable Picture picture) {
        CallbookAnswer answer = new CallbookAnswer();
        answer.callSign = base.text();
        answer.answeredAt = clock.instant();
        if (entry != null) {
            answer.known = true;
            answer.name = entry.name();
            answer.town = entry.town();
            answer.state = entry.state();
            answer.country = entry.country();
            answer.locator = entry.locator();
            answer.confirms = text(entry.confirms());
        }
        if (picture != null) {
            CallbookPicture kept = new CallbookPicture();
            kept.callSign = base.text();
            kept.mediaType = picture.type();
            kept.content = picture.content();
            db.merge(kept);
            answer.hasPicture = true;
        }
        db.merge(answer);
        if (answer.known) {
            events.publishEvent(new CallbookAnswered(base, known(base).orElseThrow()));
        }
    }

    /** Puts a file in the place of the one before, whole or not at all. */
    @Transactional
    public void takeFile(String name, List<CallbookFileEntry> entries) {
        db.createQuery("delete from CallbookFileEntry").executeUpdate();
        bulk.insert(entries);
        CallbookRow row = row();
        row.fileName = name;
        row.fileEntries = entries.size();
        row.fileReadAt = clock.instant();
        events.publishEvent(new CallbookFileChanged());
    }

    @Transactional
    public void dropFile() {
        db.createQuery("delete from CallbookFileEntry").executeUpdate();
        CallbookRow row = row();
        row.fileName = null;
        row.fileEntries = 0;
        row.fileReadAt = null;
        events.publishEvent(new CallbookFileChanged());
    }

    @Transactional
    public void forgetAnswers() {
        db.createQuery("delete from CallbookPicture").executeUpdate();
        db.createQuery("delete from CallbookAnswer").executeUpdate();
    }

    @Transactional(readOnly = true)
    public long answers() {
        return db.createQuery("select count(a) from CallbookAnswer a", Long.class)
                .getSingleResult();
    }

    private static String text(Map<String, LocalDate> confirms) {
        String text = confirms.entrySet().stream()
                .map(e -> e.getKey().replace("\n", " ") + " " + e.getValue())
                .collect(Collectors.joining("\n"));
        return text.length() > LONGEST_CONFIRMS ? "" : text;
    }

    private static List<KnownStation.ConfirmingService> confirms(@Nullable String text) {
        return text == null || text.isEmpty()
                ? List.of()
                : Arrays.stream(text.split("\n"))
                        .map(line -> new KnownStation.ConfirmingService(
                                line.substring(0, line.lastIndexOf(' ')), line.substring(line.lastIndexOf(' ') + 1)))
                        .toList();
    }

    private static @Nullable String first(@Nullable String one, @Nullable String other) {
        return one == null ? other : one;
    }
}
