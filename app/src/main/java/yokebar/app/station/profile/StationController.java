package yokebar.app.station.profile;

import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import yokebar.app.platform.storage.OnConflict;

/** The station over HTTP. Every change answers with the whole station as it is then. */
@RestController
@RequestMapping("/api/station")
class StationController {
    private final Station station;

    StationController(Station station) {
        this.station = station;
    }

    /** The station's own call. */
    record OwnCall(@Nullable String ownCall) {}

    /** The station: its calls, operators, places and preferences. */
    @GetMapping
    StationView view() {
        return station.view();
    }

    /** Sets the station's own call. */
    @PutMapping
    StationView setOwnCall(@RequestBody OwnCall call) {
        OnConflict.tryAgain(() -> station.setOwnCall(call.ownCall() == null ? "" : call.ownCall()));
        return station.view();
    }

    /** What is left out stays as it is. */
    @PutMapping("/preferences")
    StationView prefer(@RequestBody Preferences preferences) {
        OnConflict.tryAgain(() -> station.prefer(preferences));
        return station.view();
    }

    /** Adds a call the station may use. */
    @PostMapping("/calls")
    StationView addCall(@RequestBody Station.CallDraft draft) {
        station.saveCall(null, draft);
        return station.view();
    }

    /** Changes a call of the station. */
    @PutMapping("/calls/{id}")
    StationView changeCall(@PathVariable long id, @RequestBody Station.CallDraft draft) {
        station.saveCall(id, draft);
        return station.view();
    }

    /** Removes a call of the station. */
    @DeleteMapping("/calls/{id}")
    StationView removeCall(@PathVariable long id) {
        station.removeCall(id);
        return station.view();
    }

    /** Adds an operator. */
    @PostMapping("/operators")
    StationView addOperator(@RequestBody Station.OperatorDraft draft) {
        station.saveOperator(null, draft);
        return station.view();
    }

    /** Changes an operator. */
    @PutMapping("/operators/{id}")
    StationView changeOperator(@PathVariable long id, @RequestBody Station.OperatorDraft draft) {
        station.saveOperator(id, draft);
        return station.view();
    }

    /** Adds a place. */
    @PostMapping("/places")
    StationView addPlace(@RequestBody Places.PlaceDraft draft) {
        station.savePlace(null, draft);
        return station.view();
    }

    /** Changes a place. */
    @PutMapping("/places/{id}")
    StationView changePlace(@PathVariable long id, @RequestBody Places.PlaceDraft draft) {
        station.savePlace(id, draft);
        return station.view();
    }
}
