package yokebar.app.delivery;

import java.io.IOException;
import java.net.URI;
import java.nio.charset.StandardCharsets;
import java.security.GeneralSecurityException;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import yokebar.core.adif.AdiWriter;
import yokebar.core.adif.AdifFields;
import yokebar.core.contact.Contact;
import yokebar.core.contact.ContactAdif;
import yokebar.core.delivery.ServiceRules;
import yokebar.links.countersign.BatchReport;
import yokebar.links.countersign.ConfirmationPage;
import yokebar.links.countersign.CountersignAccount;
import yokebar.links.countersign.CountersignClient;
import yokebar.links.countersign.Receipt;
import yokebar.links.identity.SignedBatch;
import yokebar.links.identity.SigningKey;
import yokebar.links.status.ServiceRefused;
import yokebar.links.status.ServiceUnreachable;

/** The certified confirmation service Countersign. */
@Component
class CountersignAdapter implements ServiceAdapter {
    static final int ID = 1;

    /** What the other side's record is compared with, and what it may want to know; no names, no remarks. */
    private static final Set<String> SENT = Set.of(
            "CALL",
            "STATION_CALLSIGN",
            "QSO_DATE",
            "TIME_ON",
            "BAND",
            "FREQ",
            "MODE",
            "SUBMODE",
            "PROP_MODE",
            "SAT_NAME",
            "MY_GRIDSQUARE");

    private static final ServiceRules RULES = new ServiceRules("Countersign", false, Set.of("ATV", "FAX"), true);

    private final Clock clock;

    CountersignAdapter(Clock clock) {
        this.clock = clock;
    }

    @Override
    public int serviceId() {
        return ID;
    }

    @Override
    public ServiceRules rules() {
        return RULES;
    }

    @Override
    public int mostContacts() {
        return 500;
    }

    @Override
    public AdifFields render(Contact contact) {
        return ContactAdif.write(contact).without(name -> !SENT.contains(name));
    }

    @Override
    public byte[] pack(List<AdifFields> records, SigningKey key) {
        StringBuilder text = new StringBuilder();
        AdiWriter writer = new AdiWriter(text);
        try {
            writer.header(clock.instant());
            for (AdifFields record : records) {
                writer.record(record);
            }
            return SignedBatch.sign(text.toString().getBytes(StandardCharsets.UTF_8), key);
        } catch (IOException | GeneralSecurityException e) {
            throw new IllegalStateException("a batch for Countersign could not be made", e);
        }
    }

    @Override
    public Line line(Account account) {
        CountersignClient client = new CountersignClient(
                new CountersignAccount(URI.create(account.address()), account.name(), account.password()));
        return new Line() {
            @Override
            public String test() throws ServiceRefused, ServiceUnreachable {
                return client.test();
            }

            @Override
            public Receipt submit(byte[] content, String idempotencyKey) throws ServiceRefused, ServiceUnreachable {
                return client.submit(content, idempotencyKey);
            }

            @Override
            public BatchReport report(String receiptNumber) throws ServiceRefused, ServiceUnreachable {
                return client.report(receiptNumber);
            }

            @Override
            public ConfirmationPage confirmations(Instant since, @Nullable String page)
                    throws ServiceRefused, ServiceUnreachable {
                return client.confirmations(since, page);
            }
        };
    }
}
