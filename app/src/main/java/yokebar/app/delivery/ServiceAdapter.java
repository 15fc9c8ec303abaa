package yokebar.app.delivery;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import yokebar.core.adif.AdifFields;
import yokebar.core.contact.Contact;
import yokebar.core.delivery.ServiceRules;
import yokebar.links.countersign.BatchReport;
import yokebar.links.countersign.ConfirmationPage;
import yokebar.links.countersign.Receipt;
import yokebar.links.identity.SigningKey;
import yokebar.links.status.ServiceRefused;
import yokebar.links.status.ServiceUnreachable;

/** What is particular to one service. */
interface ServiceAdapter {

    int serviceId();

    ServiceRules rules();

    /** The most contacts in one handover. */
    int mostContacts();

    /** The fields of a contact this service receives; a change in any other does not concern it. */
    AdifFields render(Contact contact);

    /** Makes the bytes that are handed over. */
    byte[] pack(List<AdifFields> records, SigningKey key);

    /** Talks to the service with these settings. */
    Line line(Account account);

    /**
     * Where and as whom.
     *
     * @param password opened; not to be kept
     */
    record Account(String address, String name, String password) {
        @Override
        public String toString() {
            return name + " at " + address;
        }
    }

    /** A connection to the service. */
    interface Line {
        String test() throws ServiceRefused, ServiceUnreachable;

        Receipt submit(byte[] content, String idempotencyKey) throws ServiceRefused, ServiceUnreachable;

        BatchReport report(String receiptNumber) throws ServiceRefused, ServiceUnreachable;

        ConfirmationPage confirmations(Instant since, @Nullable String page) throws ServiceRefused, ServiceUnreachable;
    }
}
