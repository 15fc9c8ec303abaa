package yokebar.app.station.callbook;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.station.settings.NamedParts;
import yokebar.app.station.settings.SettingsPart;

/** The callbook's share of the settings file: without its password. */
@Component
@Order(6)
class CallbookSettings implements SettingsPart {
    private final CallbookStore store;
    private final JsonMapper json;

    CallbookSettings(CallbookStore store, JsonMapper json) {
        this.store = store;
        this.json = json;
    }

    private record Saved(@Nullable String address, @Nullable String account, int freshDays) {}

    @Override
    public String name() {
        return "callbook";
    }

    @Override
    public Object save() {
        CallbookRow row = store.row();
        return List.of(new Saved(row.address, row.account, row.freshDays));
    }

    @Override
    public int restore(JsonNode saved, List<String> notices) {
        return NamedParts.each(
                json,
                saved,
                Saved.class,
                "The callbook",
                notices,
                one -> store.save(
                        new CallbookStore.CallbookDraft(one.address(), one.account(), null, null, one.freshDays())));
    }
}
