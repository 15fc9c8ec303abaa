package yokebar.app.operate.picture;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.sources.radio.RadioView;
import yokebar.app.sources.radio.Radios;
import yokebar.app.station.settings.NamedParts;
import yokebar.app.station.settings.SettingsPart;

/** The picture folders' share of the settings file. */
@Component
@Order(20)
class PictureSettingsPart implements SettingsPart {
    private final PictureSetup setup;
    private final Radios radios;
    private final JsonMapper json;

    PictureSettingsPart(PictureSetup setup, Radios radios, JsonMapper json) {
        this.setup = setup;
        this.radios = radios;
        this.json = json;
    }

    private record Saved(String folder, String replyFolder, @Nullable String radio) {}

    @Override
    public String name() {
        return "picture folders";
    }

    @Override
    public Object save() {
        PictureSetup.PictureSettings settings = setup.settings();
        String radio = settings.radioId() == null
                ? null
                : radios.view(settings.radioId()).map(RadioView::name).orElse(null);
        return List.of(new Saved(settings.folder(), settings.replyFolder(), radio));
    }

    @Override
    public int restore(JsonNode saved, List<String> notices) {
        return NamedParts.each(json, saved, Saved.class, "The picture folders", notices, one -> {
            Long radioId =
                    NamedParts.found(radios.views(), radio -> radio.name().equals(one.radio()), RadioView::id);
            setup.save(new PictureSetup.PictureSettings(one.folder(), one.replyFolder(), radioId));
        });
    }
}
