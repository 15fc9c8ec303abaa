package yokebar.app.operate.net;

import java.util.List;
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

/** The nets over HTTP. */
@RestController
@RequestMapping("/api/nets")
class NetController {
    private final Nets nets;
    private final NetSessions sessions;
    private final NetSheets sheets;

    NetController(Nets nets, NetSessions sessions, NetSheets sheets) {
        this.nets = nets;
        this.sessions = sessions;
        this.sheets = sheets;
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

    /** Starts a session of a net, or goes on with the one that runs. */
    @PostMapping("/{id}/sessions")
    SheetView startSession(@PathVariable long id, @RequestParam(required = false) @Nullable Long positionId) {
        return sheets.sheet(sessions.start(id, positionId));
    }
}
