package yokebar.app.operate.picture;

import jakarta.persistence.EntityManager;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.platform.rejection.Rejection;
import yokebar.core.operate.picture.ReplyLayout;

/** The layouts of replies: those to begin with, and what the operator made of them. */
@Service
class ReplyLayouts {
    private static final int MAX_LAYOUTS = 50;

    private final EntityManager db;
    private final JsonMapper json;

    ReplyLayouts(EntityManager db, JsonMapper json) {
        this.db = db;
        this.json = json;
    }

    /**
     * A layout.
     *
     * @param layout as it is laid out now
     * @param changed whether it is the operator's own; deleting one of those to begin with restores it
     */
    record StoredLayout(ReplyLayout layout, boolean changed) {}

    /** Those to begin with first. */
    @Transactional(readOnly = true)
    public List<StoredLayout> all() {
        Map<String, StoredLayout> all = new LinkedHashMap<>();
        ReplyLayout.first().forEach(layout -> all.put(layout.name(), new StoredLayout(layout, false)));
        db.createQuery("from ReplyLayoutRow order by name", ReplyLayoutRow.class)
                .getResultStream()
                .map(row -> json.readValue(row.definition, ReplyLayout.class))
                .forEach(layout -> all.put(layout.name(), new StoredLayout(layout, true)));
        return List.copyOf(all.values());
    }

    /** Stores a layout, in the place of the one of the same name. */
    @Transactional
    public void save(ReplyLayout layout) {
        String problem = layout.problem();
        if (problem != null) {
            throw new Rejection("layout", problem);
        }
        ReplyLayoutRow row = db.find(ReplyLayoutRow.class, layout.name());
        if (row == null) {
            if (all().size() >= MAX_LAYOUTS) {
                throw new Rejection("layout", "There are " + MAX_LAYOUTS + " layouts already. Delete one first.");
            }
            row = new ReplyLayoutRow();
            row.name = layout.name();
        }
        row.definition = json.writeValueAsString(layout);
        db.persist(row);
    }

    @Transactional
    public void remove(String name) {
        ReplyLayoutRow row = db.find(ReplyLayoutRow.class, name);
        if (row == null) {
            throw Rejection.notThere("There is no layout of yours called " + name + ".");
        }
        db.remove(row);
    }
}
