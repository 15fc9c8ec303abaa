package yokebar.app.operate.net;

import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import yokebar.core.operate.net.CheckInMark;

/** The nets over HTTP. */
@RestController
@RequestMapping("/api/nets")
class NetController {
    private final Nets nets;
    private final NetSessions sessions;
    private final NetSheets sheets;
    private final NetWords words;

    NetController(Nets nets, NetSessions sessions, NetSheets sheets, NetWords words) {
        this.nets = nets;
        this.sessions = sessions;
        this.sheets = sheets;
        this.words = words;
    }

    /** The nets with their latest sessions. */
    @GetMapping
    List<NetView> nets() {
        return nets.views();
    }

    /** Adds a net. */
    @PostMapping
    List<NetView> addNet(@RequestBody NetDraft draft) {
        nets.save(null, draft);
        return nets.views();
    }

    /** Changes a net. Sessions that run or have ended stay as they are. */
    @PutMapping("/{id}")
    List<NetView> changeNet(@PathVariable long id, @RequestBody NetDraft draft) {
        nets.save(id, draft);
        return nets.views();
    }

    /** Removes a net. Its sessions and their contacts stay. */
    @DeleteMapping("/{id}")
    List<NetView> removeNet(@PathVariable long id) {
        nets.remove(id);
        return nets.views();
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
    @GetMapping("/words")
    MarkWordsView markWords() {
        return MarkWordsView.of(words.now());
    }

    /** Changes the words, for all nets. */
    @PutMapping("/words")
    MarkWordsView changeMarkWords(@RequestBody MarkWordsDraft draft) {
        Map<CheckInMark, @Nullable String> typed = new EnumMap<>(CheckInMark.class);
        typed.put(CheckInMark.TRAFFIC, draft.traffic());
        typed.put(CheckInMark.EARLY, draft.early());
        typed.put(CheckInMark.LISTENING, draft.listening());
        words.change(typed);
        return markWords();
    }

    /** Starts a session of a net, or goes on with the one that runs. */
    @PostMapping("/{id}/sessions")
    SheetView startSession(@PathVariable long id, @RequestParam(required = false) @Nullable Long positionId) {
        return sheets.sheet(sessions.start(id, positionId));
    }
}
