package yokebar.app.log.store;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PatchMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.log.JourneyStep;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.storage.OnConflict;
import yokebar.core.log.contact.ContactAdif;
import yokebar.core.log.contact.Provenance;
import yokebar.core.log.contact.Source;

/** Contacts over HTTP. */
@RestController
@RequestMapping("/api")
class ContactController {
    private static final int MAX_LINES = 500;

    private final ContactLog log;
    private final EntityFields entities;
    private final ContactEditing editing;
    private final Journey journey;

    ContactController(ContactLog log, ContactEditing editing, Journey journey, EntityFields entities) {
        this.entities = entities;
        this.log = log;
        this.editing = editing;
        this.journey = journey;
    }

    /**
     * A page of the log.
     *
     * @param next where the next page starts; null on the last
     * @param total contacts in the whole log
     */
    record LogPage(List<LogLine> lines, @Nullable String next, long total) {}

    /**
     * A contact in full.
     *
     * @param fields every ADIF field
     * @param sources who said each of them, in words
     */
    record ContactDetail(
            LogLine line,
            int version,
            Map<String, String> fields,
            Map<String, String> sources,
            List<JourneyStep> journey) {}

    /**
     * An edit.
     *
     * @param version the version that was on screen
     * @param changes ADIF names to new values; empty takes a field away
     */
    record Edit(int version, Map<String, String> changes) {}

    /** Contacts, the newest first, a page at a time. */
    @GetMapping("/contacts")
    LogPage page(
            @RequestParam(required = false) @Nullable String call,
            @RequestParam(required = false) @Nullable String below,
            @RequestParam(defaultValue = "100") int limit) {
        int size = Math.max(1, Math.min(limit, MAX_LINES));
        List<LogLine> lines = log.page(
                call == null || call.isBlank() ? null : call, below == null ? null : LogCursor.parse(below), size);
        LogLine last = lines.isEmpty() ? null : lines.get(lines.size() - 1);
        String next = lines.size() < size || last == null ? null : new LogCursor(last.start(), last.id()).text();
        return new LogPage(lines, next, log.size());
    }

    /** A contact with its fields and its journey. */
    @GetMapping("/contacts/{id}")
    ContactDetail one(@PathVariable long id) {
        ContactRow row =
                log.row(id).orElseThrow(() -> Rejection.notThere("There is no contact " + id + " in the log."));
        Map<String, String> fields = new LinkedHashMap<>();
        ContactAdif.write(ContactColumns.contact(row)).forEach(fields::put);
        Provenance provenance = Provenance.parse(row.provenance);
        Map<String, String> sources = new LinkedHashMap<>();
        fields.keySet().forEach(name -> sources.put(name, provenance.of(name).words()));
        entities.missing(ContactColumns.contact(row)).forEach((name, value) -> {
            fields.put(name, value);
            sources.put(name, Source.ENTITY.words());
        });
        LogLine line = log.lines(List.of(id)).get(0);
        return new ContactDetail(line, row.version, fields, sources, journey.of(id));
    }

    /** Changes fields of a contact, if it is still the version that was read. */
    @PatchMapping("/contacts/{id}")
    ContactDetail edit(@PathVariable long id, @RequestBody Edit edit) {
        OnConflict.tryAgain(() -> {
            editing.edit(id, edit.version(), edit.changes());
            return id;
        });
        return one(id);
    }
}
