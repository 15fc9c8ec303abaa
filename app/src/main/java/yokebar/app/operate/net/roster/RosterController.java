package yokebar.app.operate.net.roster;

import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The rosters of nets over HTTP. */
@RestController
@RequestMapping("/api/nets/{id}")
class RosterController {
    private final NetRoster roster;

    RosterController(NetRoster roster) {
        this.roster = roster;
    }

    /** The roster of a net, and who came to its latest sessions. */
    @GetMapping("/roster")
    RosterView roster(@PathVariable long id) {
        return roster.view(id);
    }

    /** Adds a station to the roster, or names one that is on it. */
    @PostMapping("/roster")
    RosterView putOnRoster(@PathVariable long id, @RequestBody MemberDraft draft) {
        roster.put(id, draft);
        return roster.view(id);
    }

    /** Takes a station off the roster until it checks in again. */
    @DeleteMapping("/roster")
    RosterView takeOffRoster(@PathVariable long id, @RequestParam String call) {
        roster.remove(id, call);
        return roster.view(id);
    }
}
