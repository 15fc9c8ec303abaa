package yokebar.app.operate.contest.scoreboard;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.station.settings.NamedParts;
import yokebar.app.station.settings.SettingsPart;

/** The scoreboard's share of the settings file: without its password. */
@Component
@Order(22)
class ScoreboardSettingsPart implements SettingsPart {
    private final ScoreboardSettings settings;
    private final JsonMapper json;

    ScoreboardSettingsPart(ScoreboardSettings settings, JsonMapper json) {
        this.settings = settings;
        this.json = json;
    }

    private record Saved(@Nullable String address, @Nullable String account, String team, int everyMinutes) {}

    @Override
    public String name() {
        return "scoreboard";
    }

    @Override
    public Object save() {
        ScoreboardRow row = settings.row();
        return List.of(new Saved(row.address, row.account, row.team, row.everyMinutes));
    }

    @Override
    public int restore(JsonNode saved, List<String> notices) {
        return NamedParts.each(
                json,
                saved,
                Saved.class,
                "The scoreboard",
                notices,
                one -> settings.save(new ScoreboardSettings.ScoreboardDraft(
                        one.address(), one.account(), null, null, one.team(), one.everyMinutes())));
    }
}
