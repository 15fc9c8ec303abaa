package yokebar.app.operate.onair;

import java.util.List;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.station.settings.NamedParts;
import yokebar.app.station.settings.SettingsPart;

/** The share of the filters for On air in the settings file. */
@Component
@Order(11)
class AirViewSettings implements SettingsPart {
    private final AirViews views;
    private final JsonMapper json;

    AirViewSettings(AirViews views, JsonMapper json) {
        this.views = views;
        this.json = json;
    }

    @Override
    public String name() {
        return "views of On air";
    }

    @Override
    public Object save() {
        return views.all();
    }

    @Override
    public int restore(JsonNode saved, List<String> notices) {
        return NamedParts.each(json, saved, AirViews.NamedFilter.class, "A view of On air", notices, views::keep);
    }
}
