package yokebar.app.operate.contest.sending;

import java.util.Arrays;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.platform.storage.OnConflict;
import yokebar.core.operate.contest.sending.TextSlot;
import yokebar.core.operate.contest.sending.WayOfWorking;

/** The texts to send in contests over HTTP. */
@RestController
@RequestMapping("/api/contest-texts")
class ContestTextController {
    private final ContestTexts texts;

    ContestTextController(ContestTexts texts) {
        this.texts = texts;
    }

    /**
     * A text as it is typed.
     *
     * @param text with its placeholders; empty to take it back
     */
    record TextDraft(@Nullable String text) {}

    /** The texts of both ways of working. */
    @GetMapping
    List<ContestTextView> contestTexts() {
        return Arrays.stream(WayOfWorking.values())
                .flatMap(way -> texts.all(way).stream())
                .toList();
    }

    /** Writes a text, or takes it back: then what one starts with is said there. */
    @PutMapping("/{way}/{slot}")
    List<ContestTextView> writeContestText(
            @PathVariable WayOfWorking way, @PathVariable TextSlot slot, @RequestBody TextDraft draft) {
        String text = draft.text() == null ? "" : draft.text();
        OnConflict.tryAgain(() -> {
            texts.write(way, slot, text);
            return true;
        });
        return contestTexts();
    }
}
