package yokebar.app.log.search;

import java.util.List;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.station.settings.NamedParts;
import yokebar.app.station.settings.SettingsPart;

/** The share of the log's views in the settings file. */
@Component
@Order(10)
class ViewSettings implements SettingsPart {
    private final SavedViewController views;
    private final JsonMapper json;

    ViewSettings(SavedViewController views, JsonMapper json) {
        this.views = views;
        this.json = json;
    }

    @Override
    public String name() {
        return "views of the log";
    }

    @Override
    public Object save() {
        return views.all();
    }

    @Override
    public int restore(JsonNode saved, List<String> notices) {
        return NamedParts.each(
                json, saved, SavedViewController.LogView.class, "A view of the log", notices, views::save);
    }
}
