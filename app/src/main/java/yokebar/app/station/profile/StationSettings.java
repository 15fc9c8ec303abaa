package yokebar.app.station.profile;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.station.settings.NamedParts;
import yokebar.app.station.settings.SettingsPart;

/** The station's share of the settings file. */
@Component
@Order(1)
class StationSettings implements SettingsPart {
    private final Station station;
    private final JsonMapper json;

    StationSettings(Station station, JsonMapper json) {
        this.station = station;
        this.json = json;
    }

    private record Saved(
            @Nullable String ownCall,
            Preferences preferences,
            List<Station.CallDraft> calls,
            List<Station.OperatorDraft> operators,
            List<Places.PlaceDraft> places) {}

    @Override
    public String name() {
        return "station";
    }

    @Override
    @Transactional(readOnly = true)
    public Object save() {
        StationView view = station.view();
        return new Saved(
                view.ownCall(),
                view.preferences(),
                view.calls().stream()
                        .map(c -> new Station.CallDraft(
                                c.callSign(), text(c.validFrom()), text(c.validUntil()), c.note()))
                        .toList(),
                view.operators().stream()
                        .map(o -> new Station.OperatorDraft(o.callSign(), o.name(), o.licence()))
                        .toList(),
                view.places().stream().map(StationSettings::draft).toList());
    }

    private static @Nullable String text(@Nullable LocalDate day) {
        return day == null ? null : day.toString();
    }

    private static Places.PlaceDraft draft(StationView.PlaceView p) {
        return new Places.PlaceDraft(
                p.name(),
                p.locator(),
                p.rig(),
                p.antenna(),
                p.powerW(),
                p.comment(),
                p.entityCode(),
                p.cqZone(),
                p.ituZone());
    }

    @Override
    public int restore(JsonNode saved, List<String> notices) {
        StationView before = station.view();
        int taken = 0;
        if (saved.path("ownCall").isString()) {
            taken += NamedParts.each(
                    json,
                    json.createArrayNode().add(saved.path("ownCall")),
                    String.class,
                    "The own call",
                    notices,
                    station::setOwnCall);
        }
        taken += NamedParts.each(
                json,
                json.createArrayNode().add(saved.path("preferences")),
                Preferences.class,
                "Bands, units and clocks",
                notices,
                station::prefer);
        taken += NamedParts.each(
                json,
                saved.path("calls"),
                Station.CallDraft.class,
                "A call",
                notices,
                draft -> station.saveCall(
                        before.calls().stream()
                                .filter(c -> c.callSign().equals(draft.callSign()))
                                .map(StationView.CallView::id)
                                .findFirst()
                                .orElse(null),
                        draft));
        taken += NamedParts.each(
                json,
                saved.path("operators"),
                Station.OperatorDraft.class,
                "An operator",
                notices,
                draft -> station.saveOperator(
                        before.operators().stream()
                                .filter(o -> o.callSign().equals(draft.callSign()))
                                .map(StationView.OperatorView::id)
                                .findFirst()
                                .orElse(null),
                        draft));
        taken += NamedParts.each(
                json,
                saved.path("places"),
                Places.PlaceDraft.class,
                "A place",
                notices,
                draft -> station.savePlace(
                        before.places().stream()
                                .filter(p -> p.name().equals(draft.name()))
                                .map(StationView.PlaceView::id)
                                .findFirst()
                                .orElse(null),
                        draft));
        return taken;
    }
}
