package yokebar.app.station;

import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The station over HTTP. Every change answers with the whole station as it is then. */
@RestController
@RequestMapping("/api/station")
class StationController {
    private final Station station;

    StationController(Station station) {
        this.station = station;
    }

    /** What is used now; a field left out stays as it is. */
    record Use(@Nullable String ownCall, @Nullable Long operatorId, @Nullable Long placeId) {}

    /** An operator as it is typed. */
    record OperatorDraft(@Nullable String callSign, @Nullable String name) {}

    @GetMapping
    StationView station() {
        return station.view();
    }

    @PutMapping
    StationView use(@RequestBody Use use) {
        station.setUse(use.ownCall(), use.operatorId(), use.placeId());
        return station.view();
    }

    @PostMapping("/operators")
    StationView addOperator(@RequestBody OperatorDraft draft) {
        station.saveOperator(null, text(draft.callSign()), draft.name());
        return station.view();
    }

    @PutMapping("/operators/{id}")
    StationView changeOperator(@PathVariable long id, @RequestBody OperatorDraft draft) {
        station.saveOperator(id, text(draft.callSign()), draft.name());
        return station.view();
    }

    @PostMapping("/places")
    StationView addPlace(@RequestBody Station.PlaceDraft draft) {
        station.savePlace(null, draft);
        return station.view();
    }

    @PutMapping("/places/{id}")
    StationView changePlace(@PathVariable long id, @RequestBody Station.PlaceDraft draft) {
        station.savePlace(id, draft);
        return station.view();
    }

    private static String text(@Nullable String text) {
        return text == null ? "" : text;
    }
}
