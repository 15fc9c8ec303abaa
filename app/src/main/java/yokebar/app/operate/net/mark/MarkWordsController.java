package yokebar.app.operate.net.mark;

import java.util.EnumMap;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import yokebar.core.operate.net.CheckInMark;

/** The words of the net sheet over HTTP. */
@RestController
@RequestMapping("/api/nets/words")
class MarkWordsController {
    private final NetWords words;

    MarkWordsController(NetWords words) {
        this.words = words;
    }

    /**
     * The words as they are typed in; what is left out or empty becomes the usual word.
     *
     * @param traffic it has a message to pass on, or asks for something
     * @param early it has to leave soon
     * @param listening it only listens
     */
    record MarkWordsDraft(@Nullable String traffic, @Nullable String early, @Nullable String listening) {}

    /** The words that are typed for what a station says of itself. */
    @GetMapping
    MarkWordsView markWords() {
        return MarkWordsView.of(words.now());
    }

    /** Changes the words, for all nets. */
    @PutMapping
    MarkWordsView changeMarkWords(@RequestBody MarkWordsDraft draft) {
        Map<CheckInMark, @Nullable String> typed = new EnumMap<>(CheckInMark.class);
        typed.put(CheckInMark.TRAFFIC, draft.traffic());
        typed.put(CheckInMark.EARLY, draft.early());
        typed.put(CheckInMark.LISTENING, draft.listening());
        words.change(typed);
        return markWords();
    }
}
