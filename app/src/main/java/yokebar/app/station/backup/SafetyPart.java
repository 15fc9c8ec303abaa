package yokebar.app.station.backup;

import java.util.List;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.station.settings.NamedParts;
import yokebar.app.station.settings.SettingsPart;

/** The share of second copy and backups in the settings file. */
@Component
@Order(9)
class SafetyPart implements SettingsPart {
    private final SafetySettings settings;
    private final JsonMapper json;

    SafetyPart(SafetySettings settings, JsonMapper json) {
        this.settings = settings;
        this.json = json;
    }

    @Override
    public String name() {
        return "backups";
    }

    @Override
    public Object save() {
        SafetyRow row = settings.row();
        return List.of(new SafetySettings.SafetyDraft(
                row.copyFolder, row.backupFolder, row.backupDaily, row.backupOnExit, row.backupsKept));
    }

    @Override
    public int restore(JsonNode saved, List<String> notices) {
        return NamedParts.each(
                json,
                saved,
                SafetySettings.SafetyDraft.class,
                "The folder for backups or the second copy",
                notices,
                settings::save);
    }
}
