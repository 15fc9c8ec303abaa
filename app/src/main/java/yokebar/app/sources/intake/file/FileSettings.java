package yokebar.app.sources.intake.file;

import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.sources.intake.source.SourceDraft;
import yokebar.app.sources.radio.RadioView;
import yokebar.app.sources.radio.Radios;
import yokebar.app.station.profile.Station;
import yokebar.app.station.profile.StationView;
import yokebar.app.station.settings.NamedParts;
import yokebar.app.station.settings.SettingsPart;

/** The followed files' share of the settings file. On another computer they are followed from then on. */
@Component
@Order(8)
class FileSettings implements SettingsPart {
    private final FollowedFiles files;
    private final Station station;
    private final Radios radios;
    private final JsonMapper json;

    FileSettings(FollowedFiles files, Station station, Radios radios, JsonMapper json) {
        this.files = files;
        this.station = station;
        this.radios = radios;
        this.json = json;
    }

    private record Saved(
            String name,
            String path,
            String ownCalls,
            @Nullable String operatorCall,
            @Nullable String place,
            @Nullable String radio,
            boolean holdDeliveries,
            boolean lookUp) {}

    @Override
    public String name() {
        return "followed files";
    }

    @Override
    public Object save() {
        return files.all().stream()
                .map(FollowedFile::source)
                .map(source -> new Saved(
                        source.name,
                        String.valueOf(source.path),
                        String.join(",", source.calls()),
                        source.operatorCall,
                        NamedParts.found(
                                station.view().places(),
                                place -> Objects.equals(place.id(), source.placeId),
                                StationView.PlaceView::name),
                        NamedParts.found(
                                radios.views(), radio -> Objects.equals(radio.id(), source.radioId), RadioView::name),
                        source.holdDeliveries,
                        source.lookUp))
                .toList();
    }

    @Override
    public int restore(JsonNode saved, List<String> notices) {
        return NamedParts.each(json, saved, Saved.class, "A followed file", notices, one -> {
            SourceDraft draft = new SourceDraft(
                    one.name(),
                    one.ownCalls(),
                    NamedParts.found(
                            station.view().places(),
                            place -> place.name().equals(one.place()),
                            StationView.PlaceView::id),
                    NamedParts.found(radios.views(), radio -> radio.name().equals(one.radio()), RadioView::id),
                    one.operatorCall() == null ? "" : one.operatorCall(),
                    one.holdDeliveries(),
                    one.lookUp());
            files.all().stream()
                    .map(FollowedFile::source)
                    .filter(source -> one.path().equals(source.path))
                    .findFirst()
                    .ifPresentOrElse(
                            source -> files.change(source.number(), draft),
                            () -> files.add(one.path(), FollowedFiles.Begin.FROM_NOW_ON, null, draft));
        });
    }
}
