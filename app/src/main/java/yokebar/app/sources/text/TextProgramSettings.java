package yokebar.app.sources.text;

import java.util.List;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.station.settings.NamedParts;
import yokebar.app.station.settings.SettingsPart;

/** The share of the programs with decoders in the settings file. */
@Component
@Order(23)
class TextProgramSettings implements SettingsPart {
    private final TextPrograms programs;
    private final JsonMapper json;

    TextProgramSettings(TextPrograms programs, JsonMapper json) {
        this.programs = programs;
        this.json = json;
    }

    @Override
    public String name() {
        return "textPrograms";
    }

    @Override
    public Object save() {
        return programs.views().stream()
                // Whether it may transmit is decided at this computer, not by a file.
                .map(view -> new TextProgramDraft(view.name(), view.address(), null))
                .toList();
    }

    @Override
    public int restore(JsonNode saved, List<String> notices) {
        NamedParts.Ids ids = new NamedParts.Ids();
        programs.views().forEach(one -> ids.add(one.name(), one.id()));
        return NamedParts.each(
                json,
                saved,
                TextProgramDraft.class,
                "A program with decoders",
                notices,
                draft -> programs.save(
                        ids.take(draft.name()), new TextProgramDraft(draft.name(), draft.address(), null)));
    }
}
