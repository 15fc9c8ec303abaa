package yokebar.app.log.change;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.LongStream;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.log.Selection;
import yokebar.app.log.search.LogSearch;
import yokebar.app.log.search.Query;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.storage.StoresNothing;

/** Changing many contacts at once, and taking changes back, over HTTP. */
@RestController
@RequestMapping("/api/changes")
class ChangeController {
    private final BulkChanges bulk;
    private final LogChanges changes;
    private final ChangeJobs jobs;
    private final LogSearch search;

    ChangeController(BulkChanges bulk, LogChanges changes, ChangeJobs jobs, LogSearch search) {
        this.bulk = bulk;
        this.changes = changes;
        this.jobs = jobs;
        this.search = search;
    }

    /**
     * An edit of many contacts.
     *
     * @param changes ADIF names to new values; null or empty takes a field away
     */
    record BulkEdit(Selection selection, Map<String, @Nullable String> changes) {}

    /** What was changed lately, the newest first. */
    @GetMapping
    List<ChangeView> latest() {
        return changes.latest();
    }

    /** A change and how far it has come. */
    @GetMapping("/{id}")
    ChangeView one(@PathVariable long id) {
        return changes.find(id).orElseThrow(() -> Rejection.notThere("There is no change " + id + "."));
    }

    /** What an edit would do, without doing it. */
    @StoresNothing
    @PostMapping("/preview")
    BulkChanges.Preview preview(@RequestBody BulkEdit edit) {
        return bulk.preview(chosen(edit.selection()), edit.changes());
    }

    /** Begins an edit; how far it is comes as {@code change} in the event stream. */
    @PostMapping("/edit")
    ChangeView edit(@RequestBody BulkEdit edit) {
        return bulk.edit(chosen(edit.selection()), edit.changes());
    }

    /** Begins to delete contacts. */
    @PostMapping("/delete")
    ChangeView delete(@RequestBody Selection selection) {
        return bulk.delete(chosen(selection));
    }

    /** Begins to take a change back. */
    @PostMapping("/{id}/undo")
    ChangeView undo(@PathVariable long id) {
        return bulk.undo(id);
    }

    /** Ends a change that is under way; what is done stays done. */
    @StoresNothing
    @PostMapping("/{id}/cancel")
    Optional<ChangeView> cancel(@PathVariable long id) {
        jobs.cancel(id);
        return changes.find(id);
    }

    private long[] chosen(Selection selection) {
        LongStream all;
        if (selection.ids() != null) {
            all = selection.ids().stream().mapToLong(Long::longValue).distinct();
        } else if (selection.search() != null) {
            all = search.ask(
                    index -> Query.of(selection.search()).demanded(index).ids());
        } else {
            all = LongStream.empty();
        }
        Set<Long> except = selection.except() == null ? Set.of() : Set.copyOf(selection.except());
        long[] ids = all.filter(id -> !except.contains(id)).toArray();
        if (ids.length == 0) {
            throw new Rejection("selection", "No contact is chosen.");
        }
        return ids;
    }
}
