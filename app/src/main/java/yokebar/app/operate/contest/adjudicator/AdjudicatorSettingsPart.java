package yokebar.app.operate.contest.adjudicator;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.operate.contest.adjudicator.AdjudicatorSettings.AdjudicatorDraft;
import yokebar.app.station.settings.NamedParts;
import yokebar.app.station.settings.SettingsPart;

/** The adjudicator's share of the settings file: without its password. */
@Component
@Order(23)
class AdjudicatorSettingsPart implements SettingsPart {
    private final AdjudicatorSettings settings;
    private final JsonMapper json;

    AdjudicatorSettingsPart(AdjudicatorSettings settings, JsonMapper json) {
        this.settings = settings;
        this.json = json;
    }

    private record Saved(@Nullable String address, @Nullable String account) {}

    @Override
    public String name() {
        return "adjudicator";
    }

    @Override
    public Object save() {
        AdjudicatorSettings.AdjudicatorView view = settings.view();
        return List.of(new Saved(view.address(), view.account()));
    }

    @Override
    public int restore(JsonNode saved, List<String> notices) {
        return NamedParts.each(
                json,
                saved,
                Saved.class,
                "The adjudicator",
                notices,
                one -> settings.save(new AdjudicatorDraft(one.address(), one.account(), null, null)));
    }
}
