package yokebar.app.operate.onair;

import jakarta.persistence.EntityManager;
import java.util.List;
import java.util.Optional;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.platform.rejection.Rejection;

/** Filters the operators gave a name. */
@Service
class AirViews {
    private static final int LONGEST_NAME = 60;

    private final EntityManager db;
    private final JsonMapper json;

    AirViews(EntityManager db, JsonMapper json) {
        this.db = db;
        this.json = json;
    }

    record NamedFilter(String name, FilterChoice filter) {}

    @Transactional(readOnly = true)
    public List<NamedFilter> all() {
        return db.createQuery("from AirViewRow order by name", AirViewRow.class)
                .getResultStream()
                .map(row -> new NamedFilter(row.name, json.readValue(row.content, FilterChoice.class)))
                .toList();
    }

    /** Keeps a filter under its name, in place of another of that name. */
    @Transactional
    public List<NamedFilter> keep(NamedFilter view) {
        String name = view.name() == null ? "" : view.name().strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME) {
            throw new Rejection("name", "A view needs a name of up to 60 letters, such as New ones on 15 m.");
        }
        view.filter().filter();
        AirViewRow row = named(name).orElseGet(AirViewRow::new);
        row.name = name;
        row.content = json.writeValueAsString(view.filter());
        db.persist(row);
        db.flush();
        return all();
    }

    @Transactional
    public List<NamedFilter> drop(String name) {
        named(name).ifPresent(db::remove);
        db.flush();
        return all();
    }

    private Optional<AirViewRow> named(String name) {
        return db.createQuery("from AirViewRow where lower(name) = lower(:name)", AirViewRow.class)
                .setParameter("name", name)
                .getResultStream()
                .findFirst();
    }
}
