package yokebar.app.services.delivery.handover;

import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.services.delivery.Services;
import yokebar.app.services.delivery.ledger.DeliveryCounts;

/** Signed batches that leave by radio mail, for whoever carries them. */
@Service
public class MailBatches {
    private final HandoverDesk desk;
    private final HandoverRepository handovers;
    private final BatchPacking packing;
    private final Services services;
    private final DeliveryCounts counts;

    MailBatches(
            HandoverDesk desk,
            HandoverRepository handovers,
            BatchPacking packing,
            Services services,
            DeliveryCounts counts) {
        this.desk = desk;
        this.handovers = handovers;
        this.packing = packing;
        this.services = services;
        this.counts = counts;
    }

    /**
     * A batch to be mailed.
     *
     * @param key what the service knows it by, so that it takes it once
     */
    public record Letter(long handoverId, String key, int contacts, byte[] content) {}

    /**
     * Claims what is due at the service that takes signed batches.
     *
     * @return empty when nothing is due, or no such service is in use
     */
    @Transactional
    public Optional<Letter> pack(int max) {
        return service().flatMap(id -> packing.prepareForMail(id, max)).map(handover -> letter(handover.number()));
    }

    /** A batch that lies packed. */
    @Transactional(readOnly = true)
    public Letter letter(long handoverId) {
        Handover handover = handovers.get(handoverId);
        return new Letter(
                handoverId, handover.idempotencyKey, handover.contactIds.length, handovers.content(handoverId));
    }

    /** The gateway has all of it: handed over, not proven. */
    public void mailed(long handoverId, String words) {
        desk.mailed(handoverId, words);
    }

    /** Its contacts become due again. */
    public void takeBack(long handoverId) {
        desk.drop(handoverId);
    }

    /** Whether a contact in it was edited or deleted since it was packed, so that it may not go as it is. */
    public boolean stale(long handoverId) {
        return desk.stale(handoverId);
    }

    /** It may have arrived or not: the service is asked as soon as it can be reached, and nothing is sent before. */
    public void askAbout(long handoverId) {
        desk.askAbout(handoverId);
    }

    /** How many contacts a batch holds. */
    public int contacts(long handoverId) {
        return handovers.contacts(handoverId);
    }

    /** The service that signed batches go to; the first where there are several, empty when none is in use. */
    private Optional<Integer> service() {
        return services.active().stream().filter(services::signs).findFirst();
    }

    /** Contacts that are due there and lie in no batch yet. */
    @Transactional(readOnly = true)
    public long due() {
        return service().map(counts::waiting).orElse(0L);
    }
}
