package yokebar.app.services.delivery;

import jakarta.persistence.EntityManager;
import java.net.URI;
import java.time.Instant;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.platform.rejection.Rejection;
import yokebar.app.platform.secret.SecretBox;
import yokebar.app.platform.secret.StoredSecret;
import yokebar.app.platform.storage.RowCache;
import yokebar.app.platform.web.WebAddress;
import yokebar.app.services.delivery.adapter.ServiceAdapter;
import yokebar.core.basics.call.Call;
import yokebar.core.services.confirm.FetchPlan;
import yokebar.core.services.delivery.Choices;
import yokebar.core.services.delivery.ServiceRules;

/** The services and the operator's settings for them. */
@Service
public class Services {
    private static final int MAX_MINUTES = 1440;

    private final EntityManager db;
    private final SecretBox secrets;
    private final ServiceAccounts accounts;
    private final ApplicationEventPublisher events;
    private final RowCache<Integer, ServiceAdapter.Line> lines = new RowCache<>();
    private final RowCache<Integer, Setup> setups = new RowCache<>();

    Services(EntityManager db, SecretBox secrets, ServiceAccounts accounts, ApplicationEventPublisher events) {
        this.db = db;
        this.secrets = secrets;
        this.accounts = accounts;
        this.events = events;
    }

    /**
     * What the settings say of a service, as it is asked for often.
     *
     * @param complete whether all that a call needs is there
     */
    public record Setup(
            boolean inUse,
            boolean complete,
            ServiceRow.When when,
            int everyMinutes,
            boolean paused,
            boolean proven,
            Choices choices) {}

    /**
     * The settings as they are typed; what is left out stays.
     *
     * @param password the account's password or the key; never given back
     * @param when {@code AT_ONCE}, {@code EVERY}, {@code AT_EXIT} or {@code BY_HAND}
     * @param ownCalls parted by blanks; empty for all
     * @param fromDay such as {@code 2026-05-01}; empty for all
     */
    record ServiceDraft(
            @Nullable Boolean inUse,
            @Nullable String address,
            @Nullable String account,
            @Nullable String password,
            @Nullable Boolean clearPassword,
            @Nullable String when,
            @Nullable Integer everyMinutes,
            @Nullable Boolean relayed,
            @Nullable String ownCalls,
            @Nullable String fromDay,
            @Nullable Integer fetchEverySeconds) {}

    /** @return whether what the rules say of contacts may be otherwise now */
    @Transactional
    public boolean change(int serviceId, ServiceDraft draft) {
        ServiceRow row = row(serviceId);
        String before = WebAddress.authority(row.address);
        if (draft.address() != null) {
            row.address = WebAddress.checked("address", draft.address());
        }
        if (draft.account() != null) {
            row.account = draft.account().strip();
        }
        String typed = StoredSecret.typed(
                draft.password() == null ? null : draft.password().strip(), draft.clearPassword());
        row.secret(row.secret().changed(secrets, before, WebAddress.authority(row.address), typed));
        changeTimes(row, draft);
        boolean rulesChanged = changeChoices(row, draft);
        if (draft.inUse() != null && draft.inUse() != row.inUse) {
            row.inUse = draft.inUse();
            row.filledTo = row.inUse ? Long.valueOf(0) : null;
        }
        db.flush();
        changed(serviceId);
        return rulesChanged;
    }

    private static void changeTimes(ServiceRow row, ServiceDraft draft) {
        if (draft.when() != null) {
            try {
                row.sendWhen = ServiceRow.When.valueOf(draft.when().toUpperCase(Locale.ROOT));
            } catch (IllegalArgumentException e) {
                throw new Rejection("when", "Choose AT_ONCE, EVERY, AT_EXIT or BY_HAND.");
            }
        }
        if (draft.everyMinutes() != null) {
            if (draft.everyMinutes() < 1 || draft.everyMinutes() > MAX_MINUTES) {
                throw new Rejection("everyMinutes", "Hand over every 1 to 1 440 minutes.");
            }
            row.everyMinutes = draft.everyMinutes();
        }
        if (draft.fetchEverySeconds() != null) {
            if (draft.fetchEverySeconds() < 5 || draft.fetchEverySeconds() > 86_400) {
                throw new Rejection("fetchEverySeconds", "Fetch every 5 to 86 400 seconds.");
            }
            row.fetchEverySeconds = draft.fetchEverySeconds();
        }
    }

    private static boolean changeChoices(ServiceRow row, ServiceDraft draft) {
        Choices before = choices(row);
        if (draft.relayed() != null) {
            row.takesRelayed = draft.relayed();
        }
        if (draft.ownCalls() != null) {
            row.ownCalls = String.join(
                    " ", calls(draft.ownCalls()).stream().map(Call::text).toList());
        }
        if (draft.fromDay() != null) {
            try {
                row.fromDay = draft.fromDay().isBlank()
                        ? null
                        : LocalDate.parse(draft.fromDay().strip());
            } catch (DateTimeParseException e) {
                throw new Rejection(
                        "fromDay", "\"" + draft.fromDay().strip() + "\" is not a date; write it as 2026-05-01.");
            }
        }
        return !before.equals(choices(row));
    }

    private static Set<Call> calls(String text) {
        Set<Call> calls = new LinkedHashSet<>();
        for (String word : text.strip().split("[\\s,]+")) {
            if (!word.isEmpty()) {
                Call call = Call.read(word);
                if (call == null) {
                    throw new Rejection("ownCalls", "\"" + word + "\" cannot be a call.");
                }
                calls.add(call);
            }
        }
        return calls;
    }

    private static Choices choices(ServiceRow row) {
        return new Choices(row.takesRelayed, calls(row.ownCalls), row.fromDay);
    }

    /** Stops all handing over, or lets it go on. */
    @Transactional
    public void pause(boolean paused) {
        for (int serviceId : ids()) {
            row(serviceId).paused = paused;
            changed(serviceId);
        }
    }

    public List<Integer> ids() {
        return accounts.all().stream().map(ServiceAccount::id).toList();
    }

    /** Those that are reached over the network and in use. */
    public List<Integer> active() {
        return accounts.all().stream()
                .filter(account ->
                        !account.rules().byHand() && setup(account.id()).inUse())
                .map(ServiceAccount::id)
                .toList();
    }

    /** Those that every contact gets a delivery row for. */
    public List<ServiceAccount> forEveryContact() {
        return accounts.all().stream()
                .filter(account ->
                        account.kind().everyContact() && setup(account.id()).inUse())
                .toList();
    }

    /** The one whose service shows pictures beside contacts; the first where there are several. */
    public Optional<ServiceAccount> forPictures() {
        return active().stream()
                .map(this::account)
                .filter(account -> account.kind().showsPictures())
                .findFirst();
    }

    public String name(int serviceId) {
        return account(serviceId).name();
    }

    /** Whether the service can be asked for what the other sides confirmed. */
    public boolean confirms(int serviceId) {
        return account(serviceId).kind().confirms();
    }

    /** Whether contacts are signed there. */
    public boolean signs(int serviceId) {
        return rules(serviceId).signed();
    }

    public ServiceRules rules(int serviceId) {
        return account(serviceId).rules();
    }

    public ServiceAccount account(int serviceId) {
        return accounts.get(serviceId);
    }

    /** What the operator wants to go to a service. */
    @Transactional(readOnly = true)
    public Choices choices(int serviceId) {
        return setup(serviceId).choices();
    }

    @Transactional(readOnly = true)
    public Setup setup(int serviceId) {
        return setups.get(serviceId, () -> {
            ServiceRow row = asStored(serviceId);
            ServiceAdapter.Access access = account(serviceId).kind().access();
            boolean complete = row.inUse
                    && row.address != null
                    && (access.account() == null || row.account != null && !row.account.isEmpty())
                    && (access.secret() == null || row.secret().usable(secrets));
            return new Setup(row.inUse, complete, row.sendWhen, row.everyMinutes, row.paused, row.proven, choices(row));
        });
    }

    /** Whether all that a call needs is there. */
    public boolean complete(int serviceId) {
        return setup(serviceId).complete();
    }

    @Transactional(readOnly = true)
    public String where(int serviceId) {
        String address = row(serviceId).address;
        return address == null ? "not set up" : URI.create(address).getAuthority();
    }

    /** How far confirmations have been fetched, by the time the service received them. */
    @Transactional(readOnly = true)
    public FetchPlan.Progress fetched(int serviceId) {
        ServiceRow row = row(serviceId);
        return new FetchPlan.Progress(row.confirmationsFrom, row.confirmationsUntil, row.sweptUntil, row.sweptAt);
    }

    @Transactional
    public void setFetched(int serviceId, FetchPlan.Progress progress) {
        db.createQuery(
                        "update ServiceRow set confirmationsFrom = :from, confirmationsUntil = :news, sweptUntil = :swept,"
                                + " sweptAt = :at where id = :id")
                .setParameter("from", progress.newsFrom())
                .setParameter("news", progress.newsUntil())
                .setParameter("swept", progress.sweptUntil())
                .setParameter("at", progress.sweptAt())
                .setParameter("id", serviceId)
                .executeUpdate();
    }

    @Transactional(readOnly = true)
    public int fetchEverySeconds(int serviceId) {
        return row(serviceId).fetchEverySeconds;
    }

    /** A report of the service has come back: the whole path works. */
    @Transactional
    public void proven(int serviceId) {
        if (!setup(serviceId).proven()) {
            note(serviceId, "proven", true);
            changed(serviceId);
        }
    }

    @Transactional
    public void handedOver(int serviceId, Instant at) {
        note(serviceId, "lastHandoverAt", at);
    }

    /** A number of a contact up to which all have got their rows; null when all have. */
    @Transactional(readOnly = true)
    @Nullable
    public Long filledTo(int serviceId) {
        return row(serviceId).filledTo;
    }

    @Transactional
    public void setFilledTo(int serviceId, @Nullable Long contactId) {
        note(serviceId, "filledTo", contactId);
    }

    /** What the application notes by itself must not come in the way of an operator who changes settings. */
    private void note(int serviceId, String field, @Nullable Object value) {
        db.createQuery("update ServiceRow set " + field + " = :value where id = :id")
                .setParameter("value", value)
                .setParameter("id", serviceId)
                .executeUpdate();
    }

    @Transactional(readOnly = true)
    public ServiceRow row(int serviceId) {
        return found(serviceId, db.find(ServiceRow.class, serviceId));
    }

    /** What this transaction read of it before may be older. */
    private ServiceRow asStored(int serviceId) {
        return found(serviceId, RowCache.stored(db, session -> session.get(ServiceRow.class, serviceId)));
    }

    private static ServiceRow found(int serviceId, @Nullable ServiceRow row) {
        if (row == null) {
            throw new Rejection("service", "There is no service " + serviceId + ".");
        }
        return row;
    }

    @Transactional(readOnly = true)
    ServiceAdapter.Line line(int serviceId) {
        return lines.get(serviceId, () -> account(serviceId).kind().line(login(serviceId)));
    }

    @Transactional(readOnly = true)
    public ServiceAdapter.Account login(int serviceId) {
        ServiceRow row = asStored(serviceId);
        if (row.address == null) {
            throw new IllegalStateException(row.name + " is not set up");
        }
        String password = row.secret().text(secrets);
        return new ServiceAdapter.Account(
                row.address, row.account == null ? "" : row.account, password == null ? "" : password);
    }

    /** Whether a service has a password that opens. */
    boolean hasPassword(ServiceRow row) {
        return row.secret().usable(secrets);
    }

    /** What the operator should know of a service's password; null when nothing. */
    @Nullable
    String secretNotice(ServiceRow row) {
        return row.secret().notice(secrets);
    }

    private void changed(int serviceId) {
        lines.forget();
        setups.forget();
        events.publishEvent(new LaneChanged(serviceId));
    }
}
