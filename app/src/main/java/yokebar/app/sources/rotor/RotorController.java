package yokebar.app.sources.rotor;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.platform.storage.StoresNothing;

/** The rotators over HTTP. */
@RestController
@RequestMapping("/api/rotors")
class RotorController {
    private final Rotors rotors;

    RotorController(Rotors rotors) {
        this.rotors = rotors;
    }

    /**
     * Where to turn to; what is left out stays.
     *
     * @param headingDegrees degrees true, 0 to 360
     * @param elevationDegrees above the horizon, 0 to 90
     */
    record Heading(@Nullable Double headingDegrees, @Nullable Double elevationDegrees) {}

    /** The rotators with where they point. */
    @GetMapping
    List<RotorView> all() {
        return rotors.views();
    }

    /** Adds a rotator and connects to it. */
    @PostMapping
    List<RotorView> add(@RequestBody RotorDraft draft) {
        rotors.save(null, draft);
        return rotors.views();
    }

    /** Changes a rotator and connects anew. */
    @PutMapping("/{id}")
    List<RotorView> change(@PathVariable long id, @RequestBody RotorDraft draft) {
        rotors.save(id, draft);
        return rotors.views();
    }

    /** Removes a rotator. */
    @DeleteMapping("/{id}")
    List<RotorView> remove(@PathVariable long id) {
        rotors.remove(id);
        return rotors.views();
    }

    /** Turns or raises an antenna. */
    @StoresNothing
    @PostMapping("/{id}/point")
    List<RotorView> point(@PathVariable long id, @RequestBody Heading heading) {
        if (heading.headingDegrees() != null) {
            rotors.point(id, heading.headingDegrees());
        }
        if (heading.elevationDegrees() != null) {
            rotors.raise(id, heading.elevationDegrees());
        }
        return rotors.views();
    }

    /** Stops a rotator. */
    @StoresNothing
    @PostMapping("/{id}/stop")
    List<RotorView> stop(@PathVariable long id) {
        rotors.stop(id);
        return rotors.views();
    }
}
