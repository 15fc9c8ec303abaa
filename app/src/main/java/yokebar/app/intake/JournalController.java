package yokebar.app.intake;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The intake journal over HTTP, the newest entries first. */
@RestController
@RequestMapping("/api/journal")
class JournalController {
    private static final int MOST_LINES = 500;

    private final IntakeJournal journal;

    JournalController(IntakeJournal journal) {
        this.journal = journal;
    }

    @GetMapping
    List<IntakeJournal.JournalLine> page(
            @RequestParam(required = false) @Nullable Long below,
            @RequestParam(required = false) @Nullable Decision decision,
            @RequestParam(defaultValue = "100") int limit) {
        return journal.page(below, decision, Math.max(1, Math.min(limit, MOST_LINES)));
    }
}
