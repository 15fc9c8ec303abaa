package yokebar.app.log.search;

import jakarta.persistence.EntityManager;
import java.util.List;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.platform.rejection.Rejection;

/** Named ways to look at the log, over HTTP. */
@RestController
@RequestMapping("/api/log/views")
class SavedViewController {
    private static final int LONGEST_NAME = 60;
    private static final int MAX_COLUMNS = 40;

    private final EntityManager db;

    SavedViewController(EntityManager db) {
        this.db = db;
    }

    /** @param columns ADIF names */
    record LogView(String name, String search, String sort, boolean descending, List<String> columns) {}

    /** The views of the log that were given a name. */
    @GetMapping
    @Transactional(readOnly = true)
    public List<LogView> all() {
        return db.createQuery("from SavedView order by name", SavedView.class)
                .getResultStream()
                .map(SavedViewController::view)
                .toList();
    }

    /** Keeps a view under its name, in place of another of that name. */
    @PutMapping
    @Transactional
    public List<LogView> save(@RequestBody LogView view) {
        String name = view.name() == null ? "" : view.name().strip();
        if (name.isEmpty() || name.length() > LONGEST_NAME) {
            throw new Rejection("name", "A view needs a name of up to 60 letters, such as Japan on 40 m.");
        }
        if (view.columns().size() > MAX_COLUMNS) {
            throw new Rejection("columns", "A view has at most " + MAX_COLUMNS + " columns.");
        }
        SavedView row = named(name);
        row.name = name;
        row.search = view.search();
        row.sortField = view.sort();
        row.descending = view.descending();
        row.logColumns = String.join(",", view.columns());
        db.persist(row);
        db.flush();
        return all();
    }

    /** Forgets a view of the log. */
    @DeleteMapping("/{name}")
    @Transactional
    public List<LogView> remove(@PathVariable String name) {
        SavedView row = named(name);
        if (row.id != null) {
            db.remove(row);
            db.flush();
        }
        return all();
    }

    private SavedView named(String name) {
        return db.createQuery("from SavedView where lower(name) = lower(:name)", SavedView.class)
                .setParameter("name", name)
                .getResultStream()
                .findFirst()
                .orElseGet(SavedView::new);
    }

    private static LogView view(SavedView row) {
        return new LogView(row.name, row.search, row.sortField, row.descending, List.of(row.logColumns.split(",")));
    }
}
