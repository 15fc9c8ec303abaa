package yokebar.app.operate.net.mark;

import jakarta.persistence.EntityManager;
import java.util.Arrays;
import java.util.HashSet;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.operate.net.CheckInMark;
import yokebar.core.operate.net.MarkWords;

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
        MarkWords words = MarkWords.USUAL;
        for (NetWordRow row :
                db.createQuery("from NetWordRow", NetWordRow.class).getResultList()) {
            words = words.with(row.mark, row.word);
        }
        return words;
    }

    /** @param typed a mark that is left out, or whose word is empty, gets its usual word */
    @Transactional
    void change(Map<CheckInMark, @Nullable String> typed) {
        MarkWords words = MarkWords.USUAL;
        for (CheckInMark mark : CheckInMark.values()) {
            try {
                words = words.with(mark, typed.get(mark));
            } catch (IllegalArgumentException e) {
                throw new Rejection(field(mark), String.valueOf(e.getMessage()));
            }
        }
        Set<String> taken = new HashSet<>();
        for (CheckInMark mark : CheckInMark.values()) {
            if (!taken.add(words.of(mark))) {
                throw new Rejection(field(mark), "\"" + words.of(mark) + "\" stands for another mark already.");
            }
        }
        db.createQuery("delete from NetWordRow").executeUpdate();
        MarkWords changed = words;
        Arrays.stream(CheckInMark.values())
                .filter(mark -> !changed.of(mark).equals(MarkWords.USUAL.of(mark)))
                .forEach(mark -> {
                    NetWordRow row = new NetWordRow();
                    row.mark = mark;
                    row.word = changed.of(mark);
                    db.persist(row);
                });
        events.publishEvent(new MarkWordsChanged());
    }

    private static String field(CheckInMark mark) {
        return mark.name().toLowerCase(Locale.ROOT);
    }
}
