package yokebar.app.services.mail;

import jakarta.persistence.EntityManager;
import jakarta.persistence.Tuple;
import java.time.Clock;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.services.delivery.handover.MailBatches;
import yokebar.core.basics.call.Call;
import yokebar.links.services.mail.RadioMail;

/** Letters that wait for a session, part by part. */
@Service
class Outbox {
    /** A few hundred kilobytes: an evening's work for a slow link. */
    private static final int MAX_CONTACTS = 3000;
    /** More than these is not for radio mail. */
    private static final int MAX_LETTERS = 40;

    private final EntityManager db;
    private final MailBatches batches;
    private final Clock clock;

    Outbox(EntityManager db, MailBatches batches, Clock clock) {
        this.db = db;
        this.batches = batches;
        this.clock = clock;
    }

    /**
     * A letter as the interface shows it.
     *
     * @param contacts in its batch
     * @param bytes of all its parts
     * @param sentBytes acknowledged by the gateway
     * @param partsTaken parts that are there whole
     */
    record LetterView(long handoverId, int contacts, int parts, int partsTaken, long bytes, long sentBytes) {}

    /** The gateway's settings. */
    record GatewayDraft(String address, String callSign) {}

    @Transactional
    public void setGateway(GatewayDraft draft) {
        String address = draft.address().strip();
        if (!address.matches("[^:\\s]+:\\d{1,5}")) {
            throw new Rejection("address", "Write the gateway as host:port, such as 127.0.0.1:7411.");
        }
        Call call = Call.read(draft.callSign());
        if (call == null) {
            throw new Rejection("callSign", "\"" + draft.callSign() + "\" cannot be a call.");
        }
        MailGatewayRow row = db.find(MailGatewayRow.class, MailGatewayRow.ONLY);
        if (row == null) {
            row = new MailGatewayRow();
            db.persist(row);
        }
        row.address = address;
        row.callSign = call.text();
    }

    @Transactional(readOnly = true)
    public @Nullable MailGatewayRow gateway() {
        return db.find(MailGatewayRow.class, MailGatewayRow.ONLY);
    }

    /**
     * Makes a letter of what is due.
     *
     * @return how many contacts it holds; 0 when nothing is due
     */
    @Transactional
    public int pack() {
        if (letters().size() >= MAX_LETTERS) {
            throw new Rejection("letter", "The outbox holds " + MAX_LETTERS + " letters; send those first.");
        }
        Optional<MailBatches.Letter> letter = batches.pack(MAX_CONTACTS);
        letter.ifPresent(packed -> {
            for (RadioMail.Part part : RadioMail.cut(packed.key(), packed.content())) {
                MailPart row = new MailPart();
                row.key = new MailPart.Key(packed.handoverId(), part.part());
                row.parts = part.parts();
                row.bytes = part.content().length;
                db.persist(row);
            }
        });
        return letter.map(MailBatches.Letter::contacts).orElse(0);
    }

    /** Takes a letter out of the outbox, unless the gateway may have all of it. */
    @Transactional
    public void takeBack(long handoverId) {
        List<MailPart> parts = parts(handoverId);
        if (mayBeWhole(parts)) {
            throw new Rejection(
                    "letter", "It may be with the gateway already. Once Countersign can be reached it is asked.");
        }
        parts.forEach(db::remove);
        batches.takeBack(handoverId);
    }

    /** The gateway hands on whole letters only: while a part was never begun, nothing of it is anywhere else. */
    private static boolean mayBeWhole(List<MailPart> parts) {
        return parts.stream().allMatch(part -> part.sentBytes > 0);
    }

    /** What goes out is what the log says: a letter with a contact edited since is not sent on, and another is packed. */
    @Transactional
    public void freshen() {
        boolean anyStale = false;
        for (LetterView letter : letters()) {
            if (batches.stale(letter.handoverId())) {
                anyStale = true;
                List<MailPart> parts = parts(letter.handoverId());
                boolean mayBeThere = mayBeWhole(parts);
                parts.forEach(db::remove);
                if (mayBeThere) {
                    batches.askAbout(letter.handoverId());
                } else {
                    batches.takeBack(letter.handoverId());
                }
            }
        }
        if (anyStale) {
            pack();
        }
    }

    /** What has not been taken yet, in order, with where it stands; all of it belongs to letters still in the outbox. */
    @Transactional(readOnly = true)
    public Map<RadioMail.Part, MailPart> waiting() {
        Map<RadioMail.Part, MailPart> waiting = new LinkedHashMap<>();
        for (LetterView letter : letters()) {
            MailBatches.Letter packed = batches.letter(letter.handoverId());
            List<RadioMail.Part> cut = RadioMail.cut(packed.key(), packed.content());
            parts(letter.handoverId()).stream()
                    .filter(part -> part.takenAt == null)
                    .forEach(part -> waiting.put(cut.get(part.key.part() - 1), part));
        }
        return waiting;
    }

    @Transactional(readOnly = true)
    public List<LetterView> letters() {
        List<Tuple> rows = db.createNativeQuery(
                        "select handover_id, count(*), count(taken_at), sum(bytes), sum(sent_bytes) from mail_part"
                                + " group by handover_id order by handover_id",
                        Tuple.class)
                .getResultList();
        return rows.stream()
                .map(row -> new LetterView(
                        number(row, 0),
                        batches.contacts(number(row, 0)),
                        (int) number(row, 1),
                        (int) number(row, 2),
                        number(row, 3),
                        number(row, 4)))
                .toList();
    }

    private static long number(Tuple row, int column) {
        return row.get(column, Number.class).longValue();
    }

    @Transactional
    public void arrived(MailPart.Key key, int bytes) {
        MailPart part = db.find(MailPart.class, key);
        if (part != null) {
            // Begun, even if nothing was acknowledged yet.
            part.sentBytes = Math.max(1, bytes);
        }
    }

    /** A part is there; with the last one the letter is handed over and leaves the outbox. */
    @Transactional
    public void taken(MailPart.Key key) {
        MailPart taken = db.find(MailPart.class, key);
        if (taken == null) {
            return;
        }
        taken.takenAt = clock.instant();
        taken.sentBytes = taken.bytes;
        db.flush();
        List<MailPart> parts = parts(key.handoverId());
        if (parts.stream().allMatch(part -> part.takenAt != null)) {
            batches.mailed(
                    key.handoverId(),
                    "Mailed in " + parts.size() + (parts.size() == 1 ? " part" : " parts")
                            + "; waits for proof that it arrived");
            parts.forEach(db::remove);
        }
    }

    private List<MailPart> parts(long handoverId) {
        return db.createQuery("from MailPart where key.handoverId = :id order by key.part", MailPart.class)
                .setParameter("id", handoverId)
                .getResultList();
    }
}
