package yokebar.app.station.reference;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.station.settings.NamedParts;
import yokebar.app.station.settings.SettingsPart;

/** The share of the settings file that tells where newer reference data come from. */
@Component
@Order(7)
class ReferenceSettings implements SettingsPart {
    private final ReferenceUpdates updates;
    private final JsonMapper json;

    ReferenceSettings(ReferenceUpdates updates, JsonMapper json) {
        this.updates = updates;
        this.json = json;
    }

    private record Saved(@Nullable String address, boolean daily) {}

    @Override
    public String name() {
        return "reference";
    }

    @Override
    public Object save() {
        ReferenceSource source = updates.source();
        return List.of(new Saved(source.address, source.daily));
    }

    @Override
    public int restore(JsonNode saved, List<String> notices) {
        return NamedParts.each(
                json,
                saved,
                Saved.class,
                "The publisher of reference data",
                notices,
                one -> updates.save(new ReferenceUpdates.ReferenceDraft(one.address(), one.daily())));
    }
}
