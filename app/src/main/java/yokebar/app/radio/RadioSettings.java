package yokebar.app.radio;

import java.util.List;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.settings.NamedParts;
import yokebar.app.settings.SettingsPart;

/** The radios' share of the settings file. */
@Component
class RadioSettings implements SettingsPart {
    private final Radios radios;
    private final JsonMapper json;

    RadioSettings(Radios radios, JsonMapper json) {
        this.radios = radios;
        this.json = json;
    }

    @Override
    public String name() {
        return "radios";
    }

    @Override
    public int order() {
        return 2;
    }

    @Override
    public Object save() {
        return radios.views().stream()
                .map(r -> new RadioDraft(
                        r.name(),
                        r.dialect(),
                        r.address(),
                        r.baud(),
                        r.bus(),
                        r.fullPowerW(),
                        r.pollEveryMs(),
                        r.lowerSidebandKeyed(),
                        r.sharePort() == null ? 0 : r.sharePort(),
                        // Whether programs may transmit is decided at this computer, not by a file.
                        null,
                        r.keyingLimitS(),
                        null))
                .toList();
    }

    @Override
    public int restore(JsonNode saved, List<String> told) {
        NamedParts.Ids ids = new NamedParts.Ids();
        radios.views().forEach(one -> ids.add(one.name(), one.id()));
        return NamedParts.each(
                json, saved, RadioDraft.class, "A radio", told, draft -> radios.save(ids.take(draft.name()), draft));
    }
}
