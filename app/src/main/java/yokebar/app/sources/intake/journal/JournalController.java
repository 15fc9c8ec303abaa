package yokebar.app.sources.intake.journal;

import java.time.Instant;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeParseException;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.log.store.ContactLog;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.sources.intake.Decision;
import yokebar.app.sources.intake.Outcome;
import yokebar.app.sources.intake.decide.SplitAndJoin;
import yokebar.core.basics.call.Call;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.ContactAdif;

/** The intake journal over HTTP, the newest entries first. */
@RestController
class JournalController {
    private static final int MAX_LINES = 500;

    private final IntakeJournal journal;
    private final WhyNot whyNot;
    private final Replay replay;
    private final SplitAndJoin parts;
    private final RecordSources sources;
    private final ContactLog log;

    JournalController(
            IntakeJournal journal,
            WhyNot whyNot,
            Replay replay,
            SplitAndJoin parts,
            RecordSources sources,
            ContactLog log) {
        this.sources = sources;
        this.log = log;
        this.journal = journal;
        this.whyNot = whyNot;
        this.replay = replay;
        this.parts = parts;
    }

    /**
     * A record and what became of its fields.
     *
     * @param path how it came, in words
     */
    record RecordBeside(IntakeJournal.JournalLine line, String path, List<FieldBeside> fields) {
        static RecordBeside of(JournalEntry entry, AdifFields record, AdifFields logged) {
            List<FieldBeside> fields = record.names().stream()
                    .map(name -> new FieldBeside(
                            name, String.valueOf(record.get(name)), logged.get(name), same(name, record, logged)))
                    .toList();
            return new RecordBeside(IntakeJournal.JournalLine.of(entry), IntakeJournal.by(entry.source), fields);
        }

        private static boolean same(String name, AdifFields record, AdifFields logged) {
            return logged.get(name) == null
                    ? NOT_KEPT.contains(name)
                    : String.valueOf(record.get(name)).strip().equalsIgnoreCase(logged.get(name));
        }
    }

    /** Fields that a contact has in another way, such as the band in its frequency. */
    private static final Set<String> NOT_KEPT = Set.of("BAND", "MODE", "SUBMODE", "QSO_DATE_OFF");

    /**
     * A field of a record.
     *
     * @param arrived what the record says
     * @param logged what the log says; null for nothing
     * @param same whether it says the same
     */
    record FieldBeside(String name, String arrived, @Nullable String logged, boolean same) {}

    /** @param raw the record put right; null for as it came */
    record ReplayDraft(@Nullable String raw) {}

    /** How long repeats are kept, days; null for ever. */
    record Keeping(@Nullable Integer repeatsDays) {}

    record SplitOff(Set<Long> journalIds) {}

    record JoinWith(long contactId) {}

    /** The intake journal, the newest records first. */
    @GetMapping("/api/journal")
    List<IntakeJournal.JournalLine> page(
            @RequestParam(required = false) @Nullable Long below,
            @RequestParam(required = false) @Nullable Decision decision,
            @RequestParam(required = false) @Nullable String source,
            @RequestParam(required = false) @Nullable String call,
            @RequestParam(defaultValue = "100") int limit) {
        return journal.page(
                new IntakeJournal.Wanted(
                        below,
                        decision,
                        source == null || source.isBlank() ? null : source,
                        call == null || call.isBlank() ? null : call.strip().toUpperCase(Locale.ROOT)),
                Math.max(1, Math.min(limit, MAX_LINES)));
    }

    /** @param at about when it was made, UTC, such as {@code 2026-05-01T14:07}; null for whenever */
    @GetMapping("/api/journal/why")
    List<WhyNot.Reason> why(@RequestParam String call, @RequestParam(required = false) @Nullable String at) {
        Call read = Call.read(call.strip().toUpperCase(Locale.ROOT));
        if (read == null) {
            throw new Rejection("call", "\"" + call.strip() + "\" is not a call.");
        }
        return whyNot.why(read, at == null || at.isBlank() ? null : instant(at));
    }

    private static Instant instant(String text) {
        try {
            return LocalDateTime.parse(text.strip().replace(' ', 'T').replaceFirst("Z$", ""))
                    .toInstant(ZoneOffset.UTC);
        } catch (DateTimeParseException e) {
            throw new Rejection("at", "\"" + text + "\" is not a time; write it as 2026-05-01 14:07.");
        }
    }

    /** Sends a record through the intake once more, as it was or put right. */
    @PostMapping("/api/journal/{id}/again")
    Outcome again(@PathVariable long id, @RequestBody ReplayDraft again) {
        return replay.again(id, again.raw());
    }

    /** How long repeats are kept in the journal. */
    @GetMapping("/api/journal/keeping")
    Keeping keeping() {
        return new Keeping(journal.keepRepeatsDays());
    }

    /** Changes how long repeats are kept in the journal. */
    @PutMapping("/api/journal/keeping")
    Keeping keep(@RequestBody Keeping keeping) {
        journal.keepRepeats(keeping.repeatsDays());
        return keeping();
    }

    /** The records a contact was made of, each beside what the log says. */
    @GetMapping("/api/contacts/{id}/records")
    List<RecordBeside> records(@PathVariable long id) {
        AdifFields logged = log.find(id)
                .map(contact -> ContactAdif.write(contact.contact()))
                .orElseThrow(() -> Rejection.notThere("There is no contact " + id + " in the log."));
        return journal.of(id).stream()
                .map(entry -> RecordBeside.of(entry, sources.record(entry), logged))
                .toList();
    }

    /** Splits a record off a contact: it is one of its own. */
    @PostMapping("/api/contacts/{id}/split")
    SplitAndJoin.Parts split(@PathVariable long id, @RequestBody SplitOff records) {
        return parts.split(id, records.journalIds());
    }

    /** Joins a record with a contact: they are one. */
    @PostMapping("/api/contacts/{id}/join")
    SplitAndJoin.Parts join(@PathVariable long id, @RequestBody JoinWith other) {
        return parts.join(id, other.contactId());
    }
}
