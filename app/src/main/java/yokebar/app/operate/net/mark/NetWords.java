package yokebar.app.operate.net.mark;

import jakarta.persistence.EntityManager;
import java.util.EnumMap;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.operate.net.CheckInMark;
import yokebar.core.operate.net.MarkWords;
import yokebar.core.operate.net.UnusableMarkWordException;

/** The words of the net sheet for what a station says of itself. */
@Service
public class NetWords {
    private final EntityManager db;
    private final ApplicationEventPublisher events;

    NetWords(EntityManager db, ApplicationEventPublisher events) {
        this.db = db;
        this.events = events;
    }

    @Transactional(readOnly = true)
    public MarkWords now() {
        Map<CheckInMark, String> words = new EnumMap<>(MarkWords.USUAL.byMark());
        db.createQuery("from NetWordRow", NetWordRow.class)
                .getResultStream()
                .forEach(row -> words.put(row.mark, row.word));
        return new MarkWords(words);
    }

    /** @param typed a mark that is left out, or whose word is empty, gets its usual word */
    @Transactional
    void change(Map<CheckInMark, @Nullable String> typed) {
        MarkWords words = read(typed);
        db.createQuery("delete from NetWordRow").executeUpdate();
        words.byMark().forEach((mark, word) -> {
            NetWordRow row = new NetWordRow();
            row.mark = mark;
            row.word = word;
            db.persist(row);
        });
        events.publishEvent(new MarkWordsChanged());
    }

    private static MarkWords read(Map<CheckInMark, @Nullable String> typed) {
        try {
            return MarkWords.of(typed);
        } catch (UnusableMarkWordException e) {
            throw new Rejection(e.mark().name().toLowerCase(Locale.ROOT), e.sentence());
        }
    }
}
