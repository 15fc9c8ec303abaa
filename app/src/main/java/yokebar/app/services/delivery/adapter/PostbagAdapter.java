package yokebar.app.services.delivery.adapter;

import java.net.URI;
import java.time.Clock;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import yokebar.app.services.delivery.handover.AdiText;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.ContactAdif;
import yokebar.core.services.confirm.FetchPlan;
import yokebar.core.services.delivery.ServiceRules;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.links.services.delivery.ConfirmationPage;
import yokebar.links.services.delivery.Submission;
import yokebar.links.services.identity.SigningKey;
import yokebar.links.services.postbag.PostbagClient;

/** The batch log Postbag with its electronic cards. */
@Component
class PostbagAdapter implements ServiceAdapter {
    private static final ServiceRules RULES = ServiceRules.of("Postbag");

    private static final Set<String> SENT = Set.of(
            "CALL",
            "STATION_CALLSIGN",
            "QSO_DATE",
            "TIME_ON",
            "BAND",
            "FREQ",
            "MODE",
            "SUBMODE",
            "RST_SENT",
            "RST_RCVD",
            "PROP_MODE",
            "SAT_NAME",
            "MY_GRIDSQUARE",
            "QSLMSG");

    private final Clock clock;

    PostbagAdapter(Clock clock) {
        this.clock = clock;
    }

    @Override
    public ServiceRules rules() {
        return RULES;
    }

    @Override
    public Access access() {
        return new Access("Name", "Password", "Those of your pages at Postbag.");
    }

    @Override
    public boolean confirms() {
        return true;
    }

    @Override
    public int maxBatchSize() {
        return 200;
    }

    @Override
    public AdifFields render(Contact contact) {
        return ContactAdif.write(contact).without(name -> !SENT.contains(name));
    }

    @Override
    public byte[] pack(List<Parcel> parcels, @Nullable SigningKey key) {
        return AdiText.of(parcels, clock.instant());
    }

    @Override
    public Line line(Account account) {
        PostbagClient client = new PostbagClient(URI.create(account.address()), account.name(), account.password());
        return new Line() {
            @Override
            public String test() throws ServiceRefused, ServiceUnreachable {
                return client.test();
            }

            @Override
            public Submission submit(byte[] content, String idempotencyKey) throws ServiceRefused, ServiceUnreachable {
                return client.submit(content, idempotencyKey);
            }

            @Override
            public @Nullable Submission arrived(byte[] content, String idempotencyKey)
                    throws ServiceRefused, ServiceUnreachable {
                return client.arrived(idempotencyKey);
            }

            @Override
            public ConfirmationPage confirmations(FetchPlan.Window window, @Nullable String page)
                    throws ServiceRefused, ServiceUnreachable {
                return client.cards(window.since(), window.until(), page);
            }

            @Override
            public byte[] picture(String path) throws ServiceRefused, ServiceUnreachable {
                return client.picture(path);
            }
        };
    }
}
