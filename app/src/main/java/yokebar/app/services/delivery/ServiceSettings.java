package yokebar.app.services.delivery;

import java.util.List;
import java.util.Objects;
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
    private final ServiceAccounts accounts;
    private final JsonMapper json;

    ServiceSettings(Services services, ServiceAccounts accounts, JsonMapper json) {
        this.services = services;
        this.accounts = accounts;
        this.json = json;
    }

    private record Saved(
            String name,
            @Nullable String kind,
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
                        row.kind,
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
    public int restore(JsonNode saved, List<String> notices) {
        return NamedParts.each(json, saved, Saved.class, "A service", notices, one -> restore(one, notices));
    }

    private void restore(Saved one, List<String> notices) {
        int id = accountFor(one);
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
            notices.add("The password of " + one.name()
                    + " was cleared, because the file gives another address. Type it again.");
        }
    }

    /** A file of an earlier edition says no kind: each service was the only one of its own. */
    private int accountFor(Saved one) {
        return accounts.all().stream()
                .filter(account -> account.name().equals(one.name()))
                .map(ServiceAccount::id)
                .findFirst()
                .orElseGet(() -> accounts.add(Objects.requireNonNullElse(one.kind(), one.name()), one.name()));
    }
}
