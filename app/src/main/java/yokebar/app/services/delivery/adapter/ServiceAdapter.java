package yokebar.app.services.delivery.adapter;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.Contact;
import yokebar.core.services.confirm.FetchPlan;
import yokebar.core.services.delivery.ServiceRules;
import yokebar.links.platform.status.ServiceRefused;
import yokebar.links.platform.status.ServiceUnreachable;
import yokebar.links.services.delivery.BatchReport;
import yokebar.links.services.delivery.ConfirmationPage;
import yokebar.links.services.delivery.Receipt;
import yokebar.links.services.delivery.Submission;
import yokebar.links.services.identity.SigningKey;

/** What is particular to one kind of service. {@code docs/adding-a-service.md} leads through one. */
public interface ServiceAdapter {

    /** They name the kind, too. */
    ServiceRules rules();

    /** Who we are there. */
    Access access();

    /** The most contacts in one handover. */
    int maxBatchSize();

    /** The fields of a contact this service receives; a change in any other does not concern it. */
    AdifFields render(Contact contact);

    /**
     * Makes the bytes that are handed over.
     *
     * @param key of the identity that covers them all; null when the service wants no signature
     */
    byte[] pack(List<Parcel> parcels, @Nullable SigningKey key);

    /** Talks to the service with these settings. */
    Line line(Account account);

    /** Whether every contact is meant for it, or only those the operator chooses. */
    default boolean everyContact() {
        return true;
    }

    /** Whether confirmations can be fetched there. */
    default boolean confirms() {
        return false;
    }

    /** Whether it shows pictures beside contacts. */
    default boolean showsPictures() {
        return false;
    }

    /** Where certificates of the service are asked for; empty when it wants no signatures. */
    default Optional<CertificateDesk> certificates(Account account) {
        return Optional.empty();
    }

    /** Asking for certificates and renewing them. */
    interface CertificateDesk {
        /** Gives the request's number and what the service says of it. */
        Receipt ask(String requestPem, Instant contactsFrom, Instant contactsUntil, String postalAddress)
                throws ServiceRefused, ServiceUnreachable;

        /** Gives the certificate, PEM. */
        String collect(String requestNumber, String code) throws ServiceRefused, ServiceUnreachable;

        /** Gives the new certificate, PEM. */
        String renew(byte[] signedRequest) throws ServiceRefused, ServiceUnreachable;
    }

    /**
     * What the operator has to give, in words for the form.
     *
     * @param account what the account name is called; null when there is none
     * @param secret what the secret is called; null when there is none
     * @param hint what the secret is, and what it is not
     */
    record Access(@Nullable String account, @Nullable String secret, String hint) {}

    /**
     * One contact as it is handed over.
     *
     * @param number the service's number for it, when it has it already
     */
    record Parcel(AdifFields fields, @Nullable String number) {}

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

    /** A connection to the service. What a service cannot do is never asked of it. */
    interface Line {
        String test() throws ServiceRefused, ServiceUnreachable;

        Submission submit(byte[] content, String idempotencyKey) throws ServiceRefused, ServiceUnreachable;

        default BatchReport report(String receiptNumber) throws ServiceRefused, ServiceUnreachable {
            throw new UnsupportedOperationException("reports come with the submission");
        }

        /** What became of a batch of which it is not known whether it arrived; null when it did not. */
        @Nullable
        Submission arrived(byte[] content, String idempotencyKey) throws ServiceRefused, ServiceUnreachable;

        default ConfirmationPage confirmations(FetchPlan.Window window, @Nullable String page)
                throws ServiceRefused, ServiceUnreachable {
            return ConfirmationPage.EMPTY;
        }

        default byte[] picture(String path) throws ServiceRefused, ServiceUnreachable {
            throw new UnsupportedOperationException("there are no pictures");
        }

        default void withdraw(String number) throws ServiceRefused, ServiceUnreachable {
            throw new UnsupportedOperationException("what was taken stays");
        }

        /**
         * Shows a picture beside a contact, in the place of one before.
         *
         * @param content as it is kept here; it is made smaller where the service wants it so
         */
        default void putPicture(String number, byte[] content) throws ServiceRefused, ServiceUnreachable {
            throw new UnsupportedOperationException("there are no pictures");
        }

        default void takePictureAway(String number) throws ServiceRefused, ServiceUnreachable {
            throw new UnsupportedOperationException("there are no pictures");
        }

        /** The calls that used the service lately, with the day, ISO 8601. */
        default Map<String, String> members() throws ServiceRefused, ServiceUnreachable {
            return Map.of();
        }
    }
}
