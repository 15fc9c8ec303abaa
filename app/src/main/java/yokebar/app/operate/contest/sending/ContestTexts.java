package yokebar.app.operate.contest.sending;

import jakarta.persistence.EntityManager;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.operate.contest.sending.StandardTexts;
import yokebar.core.operate.contest.sending.TextSlot;
import yokebar.core.operate.contest.sending.TextTemplate;
import yokebar.core.operate.contest.sending.WayOfWorking;

/** The texts of the station: those that were written here, and in other places those one starts with. */
@Service
public class ContestTexts {
    private final EntityManager db;
    private final ApplicationEventPublisher events;

    ContestTexts(EntityManager db, ApplicationEventPublisher events) {
        this.db = db;
        this.events = events;
    }

    /** All of a way of working, in the order of a contact, then by their keys. */
    @Transactional(readOnly = true)
    public List<ContestTextView> all(WayOfWorking way) {
        Map<TextSlot, TextRow> written = db.createQuery("from TextRow where place.way = :way", TextRow.class)
                .setParameter("way", way)
                .getResultStream()
                .collect(Collectors.toMap(row -> row.place.slot(), Function.identity()));
        return Arrays.stream(TextSlot.values())
                .map(slot -> {
                    TextRow row = written.get(slot);
                    String text = row == null ? StandardTexts.of(way, slot) : row.wording;
                    return new ContestTextView(way, slot, text, row != null);
                })
                .toList();
    }

    /** What is said there; empty where nothing is. */
    @Transactional(readOnly = true)
    public TextTemplate text(WayOfWorking way, TextSlot slot) {
        TextRow row = db.find(TextRow.class, new TextRow.Place(way, slot));
        return new TextTemplate(row == null ? StandardTexts.of(way, slot) : row.wording);
    }

    /** Writes a text; an empty one takes it back. */
    @Transactional
    public void write(WayOfWorking way, TextSlot slot, String text) {
        String problem = new TextTemplate(text.strip()).problem();
        if (problem != null) {
            throw new Rejection("text", problem);
        }
        TextRow.Place place = new TextRow.Place(way, slot);
        TextRow row = db.find(TextRow.class, place);
        if (text.isBlank()) {
            if (row != null) {
                db.remove(row);
            }
        } else {
            TextRow kept = row == null ? new TextRow() : row;
            kept.place = place;
            kept.wording = text.strip();
            db.persist(kept);
        }
        events.publishEvent(new ContestTextsChanged());
    }
}
