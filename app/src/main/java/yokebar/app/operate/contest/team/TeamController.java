package yokebar.app.operate.contest.team;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.platform.storage.StoresNothing;

/** Several operators on one contest book, over HTTP. */
@RestController
@RequestMapping("/api/contest-books/{bookId}/team")
class TeamController {
    private final Team team;

    TeamController(Team team) {
        this.team = team;
    }

    /**
     * A message.
     *
     * @param positionId who says it
     * @param toPositionId null for all
     * @param text 1 to 200 characters
     */
    record TeamMessage(long positionId, @Nullable Long toPositionId, @Nullable String text) {}

    /**
     * Takes a band, or gives it back.
     *
     * @param positionId of the position
     * @param take whether it is taken
     */
    record BandRequest(long positionId, boolean take) {}

    /**
     * A station that is to be passed on.
     *
     * @param positionId where it was worked
     * @param toPositionId where it is to go; null while that is asked
     * @param call of the station
     */
    record StationToPass(long positionId, @Nullable Long toPositionId, @Nullable String call) {}

    /** Who works the book, whose bands are, and what was said. */
    @GetMapping
    TeamView team(@PathVariable long bookId) {
        return team.of(bookId);
    }

    /** Says that the book is open at a position, as it does every minute; answers who else is at work. */
    @StoresNothing
    @PostMapping("/at-work")
    TeamView beAtWork(@PathVariable long bookId, @RequestBody PositionAtWork here) {
        return team.here(bookId, here);
    }

    /** Says something to all, or to one position. */
    @PostMapping("/messages")
    TeamView sayToTeam(@PathVariable long bookId, @RequestBody TeamMessage message) {
        return team.say(bookId, message.positionId(), message.toPositionId(), message.text());
    }

    /** Takes a band for one position alone, or gives it back. */
    @PutMapping("/bands/{band}")
    TeamView takeBand(@PathVariable long bookId, @PathVariable String band, @RequestBody BandRequest request) {
        return team.takeBand(bookId, band, request.positionId(), request.take());
    }

    /** Where a station can be passed to, and what it would bring there. */
    @StoresNothing
    @PostMapping("/pass-options")
    List<TeamView.PassOption> findPassOptions(@PathVariable long bookId, @RequestBody StationToPass station) {
        return team.passOptions(bookId, station.positionId(), station.call());
    }

    /** Passes a station to another position: it is told that the station comes. */
    @PostMapping("/stations")
    TeamView passStation(@PathVariable long bookId, @RequestBody StationToPass station) {
        long to = station.toPositionId() == null ? 0 : station.toPositionId();
        return team.pass(bookId, station.positionId(), to, station.call());
    }

    /** Takes a station that was passed on. */
    @PostMapping("/stations/{id}/take")
    TeamView takePassedStation(@PathVariable long bookId, @PathVariable long id) {
        return team.takeStation(bookId, id);
    }
}
