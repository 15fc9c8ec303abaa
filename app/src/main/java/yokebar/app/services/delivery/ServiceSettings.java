package yokebar.app.services.delivery;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.station.settings.NamedParts;
import yokebar.app.station.settings.SettingsPart;

/** The services' share of the settings file: without passwords and without signing identities. */
@Component
@Order(5)
class ServiceSettings implements SettingsPart {
    private final Services services;
    private final JsonMapper json;

    ServiceSettings(Services services, JsonMapper json) {
        this.services = services;
        this.json = json;
    }

    private record Saved(
            String name,
            boolean inUse,
            @Nullable String address,
            @Nullable String account,
            ServiceRow.When when,
            int everyMinutes,
            boolean relayed,
            String ownCalls,
            String fromDay,
            int fetchEverySeconds) {}

    @Override
    public String name() {
        return "services";
    }

    @Override
    @Transactional(readOnly = true)
    public Object save() {
        return services.ids().stream()
                .map(services::row)
                .map(row -> new Saved(
                        row.name,
                        row.inUse,
                        row.address,
                        row.account,
                        row.sendWhen,
                        row.everyMinutes,
                        row.takesRelayed,
                        row.ownCalls,
                        row.fromDay == null ? "" : row.fromDay.toString(),
                        row.fetchEverySeconds))
                .toList();
    }

    @Override
    public int restore(JsonNode saved, List<String> told) {
        return NamedParts.each(json, saved, Saved.class, "A service", told, one -> services.ids().stream()
                .filter(id -> services.row(id).name.equals(one.name()))
                .forEach(id -> {
                    boolean had = services.hasPassword(services.row(id));
                    services.change(
                            id,
                            new Services.ServiceDraft(
                                    one.inUse(),
                                    one.address(),
                                    one.account(),
                                    null,
                                    null,
                                    one.when().name(),
                                    one.everyMinutes(),
                                    one.relayed(),
                                    one.ownCalls(),
                                    one.fromDay(),
                                    one.fetchEverySeconds()));
                    if (had && !services.hasPassword(services.row(id))) {
                        told.add("The password of " + one.name()
                                + " was cleared, because the file gives another address. Type it again.");
                    }
                }));
    }
}
