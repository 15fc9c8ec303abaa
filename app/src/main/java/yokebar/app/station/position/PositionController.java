package yokebar.app.station.position;

import java.util.List;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.platform.storage.OnConflict;

/** The positions over HTTP. Which one a browser is at, the browser remembers. */
@RestController
@RequestMapping("/api/positions")
class PositionController {
    private final Positions positions;

    PositionController(Positions positions) {
        this.positions = positions;
    }

    /** The positions with who sits there. */
    @GetMapping
    List<PositionView> all() {
        return positions.views();
    }

    /** Adds a position. */
    @PostMapping
    List<PositionView> add(@RequestBody PositionDraft draft) {
        positions.save(null, draft);
        return positions.views();
    }

    /** Changes the operator, place, radio or call of a position. */
    @PutMapping("/{id}")
    List<PositionView> change(@PathVariable long id, @RequestBody PositionDraft draft) {
        OnConflict.tryAgain(() -> positions.save(id, draft));
        return positions.views();
    }

    /** A browser sat down there. */
    @PostMapping("/{id}/sit-down")
    List<PositionView> sitDown(@PathVariable long id) {
        OnConflict.tryAgain(() -> positions.sitDown(id));
        return positions.views();
    }

    /** Removes a position. */
    @DeleteMapping("/{id}")
    List<PositionView> remove(@PathVariable long id) {
        positions.remove(id);
        return positions.views();
    }
}
