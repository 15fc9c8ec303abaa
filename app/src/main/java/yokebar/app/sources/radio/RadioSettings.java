package yokebar.app.sources.radio;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.sources.rotor.RotorView;
import yokebar.app.sources.rotor.Rotors;
import yokebar.app.station.settings.NamedParts;
import yokebar.app.station.settings.SettingsPart;

/** The radios' share of the settings file. */
@Component
@Order(3)
class RadioSettings implements SettingsPart {
    private final Radios radios;
    private final Rotors rotors;
    private final JsonMapper json;

    RadioSettings(Radios radios, Rotors rotors, JsonMapper json) {
        this.radios = radios;
        this.rotors = rotors;
        this.json = json;
    }

    @Override
    public String name() {
        return "radios";
    }

    /** The rotator is named, not numbered: on another computer it has another number. */
    private record Saved(@JsonUnwrapped RadioDraft radio, @Nullable String rotor) {}

    @Override
    public Object save() {
        List<RotorView> turning = rotors.views();
        return radios.views().stream()
                .map(r -> new Saved(
                        new RadioDraft(
                                r.name(),
                                r.dialect(),
                                r.address(),
                                r.baud(),
                                r.bus(),
                                r.fullPowerW(),
                                r.pollEveryMs(),
                                r.lowerSidebandKeyed(),
                                r.sharePort() == null ? 0 : r.sharePort(),
                                // Whether it may transmit is decided at this computer, not by a file.
                                null,
                                null,
                                r.keyingLimitS(),
                                null),
                        NamedParts.found(turning, rotor -> Objects.equals(rotor.id(), r.rotorId()), RotorView::name)))
                .toList();
    }

    @Override
    public int restore(JsonNode saved, List<String> notices) {
        NamedParts.Ids ids = new NamedParts.Ids();
        radios.views().forEach(one -> ids.add(one.name(), one.id()));
        List<RotorView> turning = rotors.views();
        return NamedParts.each(
                json,
                saved,
                Saved.class,
                "A radio",
                notices,
                one -> radios.save(
                        ids.take(one.radio().name()),
                        one.radio()
                                .fromFile(NamedParts.found(
                                        turning, rotor -> rotor.name().equals(one.rotor()), RotorView::id))));
    }
}
