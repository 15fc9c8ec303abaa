package yokebar.app.station.reference;

import java.time.Instant;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import yokebar.core.basics.entity.Entities;

/** Editions of the reference data over HTTP. */
@RestController
@RequestMapping("/api/reference")
class ReferenceController {
    private final ReferenceData data;
    private final ReferenceUpdates updates;

    ReferenceController(ReferenceData data, ReferenceUpdates updates) {
        this.data = data;
        this.updates = updates;
    }

    /**
     * What is in use, and where newer comes from.
     *
     * @param edition day the list in use was made
     * @param shipped day the list that came with the application was made
     * @param entities how many count today
     * @param daily whether it is looked for by itself
     * @param lookedAt when it was looked for last, UTC
     * @param outcome what came of that
     */
    record ReferenceView(
            LocalDate edition,
            LocalDate shipped,
            int entities,
            @Nullable String address,
            boolean daily,
            @Nullable Instant lookedAt,
            @Nullable String outcome,
            boolean failed) {}

    /** The list of entities in use. */
    @GetMapping
    ReferenceView view() {
        ReferenceSource source = updates.source();
        Entities entities = data.entities();
        return new ReferenceView(
                entities.edition(),
                Entities.shipped().edition(),
                (int) entities.all().stream().filter(e -> e.lastDay() == null).count(),
                source.address,
                source.daily,
                source.lookedAt,
                source.outcome,
                source.failed);
    }

    /** Sets where newer lists of entities are fetched. */
    @PutMapping
    ReferenceView save(@RequestBody ReferenceUpdates.ReferenceDraft draft) {
        updates.save(draft);
        return view();
    }

    /** Looks for a newer edition now and waits for what comes of it. */
    @PostMapping("/look")
    ReferenceView look() {
        updates.look();
        return view();
    }
}
