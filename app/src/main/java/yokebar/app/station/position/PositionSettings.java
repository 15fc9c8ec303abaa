package yokebar.app.station.position;

import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.sources.radio.RadioView;
import yokebar.app.sources.radio.Radios;
import yokebar.app.station.profile.Station;
import yokebar.app.station.profile.StationView;
import yokebar.app.station.settings.NamedParts;
import yokebar.app.station.settings.SettingsPart;

/** The positions' share of the settings file; operators, places and radios are named in it, not numbered. */
@Component
@Order(4)
class PositionSettings implements SettingsPart {
    private final Positions positions;
    private final Station station;
    private final Radios radios;
    private final JsonMapper json;

    PositionSettings(Positions positions, Station station, Radios radios, JsonMapper json) {
        this.positions = positions;
        this.station = station;
        this.radios = radios;
        this.json = json;
    }

    private record Saved(
            String name,
            @Nullable String operator,
            @Nullable String place,
            @Nullable String radio,
            @Nullable String ownCall) {}

    @Override
    public String name() {
        return "positions";
    }

    @Override
    public Object save() {
        StationView whole = station.view();
        return positions.views().stream()
                .map(p -> new Saved(
                        p.name(),
                        NamedParts.found(
                                whole.operators(),
                                o -> Objects.equals(o.id(), p.operatorId()),
                                StationView.OperatorView::callSign),
                        NamedParts.found(
                                whole.places(), o -> Objects.equals(o.id(), p.placeId()), StationView.PlaceView::name),
                        NamedParts.found(radios.views(), r -> Objects.equals(r.id(), p.radioId()), RadioView::name),
                        p.chosenCall()))
                .toList();
    }

    @Override
    public int restore(JsonNode saved, List<String> notices) {
        StationView whole = station.view();
        List<PositionView> before = positions.views();
        return NamedParts.each(
                json,
                saved,
                Saved.class,
                "A position",
                notices,
                one -> positions.save(
                        NamedParts.found(before, p -> p.name().equalsIgnoreCase(one.name()), PositionView::id),
                        new PositionDraft(
                                one.name(),
                                NamedParts.found(
                                        whole.operators(),
                                        o -> o.callSign().equals(one.operator()),
                                        StationView.OperatorView::id),
                                NamedParts.found(
                                        whole.places(), p -> p.name().equals(one.place()), StationView.PlaceView::id),
                                NamedParts.found(radios.views(), r -> r.name().equals(one.radio()), RadioView::id),
                                one.ownCall())));
    }
}
