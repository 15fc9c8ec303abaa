package yokebar.app.sources.rotor;

import java.util.List;
import java.util.stream.Collectors;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.station.settings.NamedParts;
import yokebar.app.station.settings.SettingsPart;

/** The rotators' share of the settings file. */
@Component
@Order(2)
class RotorSettings implements SettingsPart {
    private final Rotors rotors;
    private final JsonMapper json;

    RotorSettings(Rotors rotors, JsonMapper json) {
        this.rotors = rotors;
        this.json = json;
    }

    @Override
    public String name() {
        return "rotators";
    }

    @Override
    public Object save() {
        return rotors.views().stream()
                .map(r -> new RotorDraft(
                        r.name(),
                        r.address(),
                        r.baud(),
                        r.stopDegrees(),
                        r.travelDegrees(),
                        r.mountOffsetDegrees(),
                        r.toleranceDegrees(),
                        r.deadZones(),
                        r.presets().stream()
                                .map(p -> p.headingDegrees() + " " + p.name())
                                .collect(Collectors.joining("\n"))))
                .toList();
    }

    @Override
    public int restore(JsonNode saved, List<String> notices) {
        NamedParts.Ids ids = new NamedParts.Ids();
        rotors.views().forEach(one -> ids.add(one.name(), one.id()));
        return NamedParts.each(
                json,
                saved,
                RotorDraft.class,
                "A rotator",
                notices,
                draft -> rotors.save(ids.take(draft.name()), draft));
    }
}
