package yokebar.app.services.delivery.adapter;

import java.net.URI;
import java.security.GeneralSecurityException;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
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
import yokebar.links.services.countersign.CountersignAccount;
import yokebar.links.services.countersign.CountersignClient;
import yokebar.links.services.delivery.BatchReport;
import yokebar.links.services.delivery.ConfirmationPage;
import yokebar.links.services.delivery.Receipt;
import yokebar.links.services.delivery.Submission;
import yokebar.links.services.identity.SignedBatch;
import yokebar.links.services.identity.SigningKey;

/** The certified confirmation service Countersign. */
@Component
class CountersignAdapter implements ServiceAdapter {
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

    private static final ServiceRules RULES = ServiceRules.of("Countersign");

    private final Clock clock;

    CountersignAdapter(Clock clock) {
        this.clock = clock;
    }

    @Override
    public ServiceRules rules() {
        return RULES;
    }

    @Override
    public Access access() {
        return new Access(
                "Account name",
                "Account password",
                "For fetching and asking. It is not the passphrase of the signing identity.");
    }

    @Override
    public boolean confirms() {
        return true;
    }

    @Override
    public int maxBatchSize() {
        return 500;
    }

    @Override
    public AdifFields render(Contact contact) {
        return ContactAdif.write(contact).without(name -> !SENT.contains(name));
    }

    @Override
    public byte[] pack(List<Parcel> parcels, @Nullable SigningKey key) {
        try {
            return SignedBatch.sign(AdiText.of(parcels, clock.instant()), Objects.requireNonNull(key));
        } catch (GeneralSecurityException e) {
            throw new IllegalStateException("a batch for Countersign could not be made", e);
        }
    }

    @Override
    public Line line(Account account) {
        return new CountersignLine(client(account));
    }

    private static CountersignClient client(Account account) {
        return new CountersignClient(
                new CountersignAccount(URI.create(account.address()), account.name(), account.password()));
    }

    @Override
    public Optional<CertificateDesk> certificates(Account account) {
        CountersignClient client = client(account);
        return Optional.of(new CertificateDesk() {
            @Override
            public Receipt ask(String requestPem, Instant contactsFrom, Instant contactsUntil, String postalAddress)
                    throws ServiceRefused, ServiceUnreachable {
                return client.request(requestPem, contactsFrom, contactsUntil, postalAddress);
            }

            @Override
            public String collect(String requestNumber, String code) throws ServiceRefused, ServiceUnreachable {
                return client.certificate(requestNumber, code);
            }

            @Override
            public String renew(byte[] signedRequest) throws ServiceRefused, ServiceUnreachable {
                return client.renew(signedRequest);
            }
        });
    }

    private record CountersignLine(CountersignClient client) implements Line {
        @Override
        public String test() throws ServiceRefused, ServiceUnreachable {
            return client.test();
        }

        @Override
        public Submission submit(byte[] content, String idempotencyKey) throws ServiceRefused, ServiceUnreachable {
            return new Submission(client.submit(content, idempotencyKey), null);
        }

        @Override
        public BatchReport report(String receiptNumber) throws ServiceRefused, ServiceUnreachable {
            return client.report(receiptNumber);
        }

        @Override
        public @Nullable Submission arrived(byte[] content, String idempotencyKey)
                throws ServiceRefused, ServiceUnreachable {
            Receipt receipt = client.receiptFor(idempotencyKey);
            return receipt == null ? null : new Submission(receipt, null);
        }

        @Override
        public ConfirmationPage confirmations(FetchPlan.Window window, @Nullable String page)
                throws ServiceRefused, ServiceUnreachable {
            return client.confirmations(window.since(), window.until(), page);
        }

        @Override
        public Map<String, String> members() throws ServiceRefused, ServiceUnreachable {
            return client.members();
        }
    }
}
