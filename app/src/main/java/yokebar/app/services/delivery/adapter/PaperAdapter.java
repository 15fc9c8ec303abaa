package yokebar.app.services.delivery.adapter;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.ContactAdif;
import yokebar.core.services.delivery.ServiceRules;
import yokebar.links.services.identity.SigningKey;

/** Paper cards: nothing goes over a network, and only the contacts the operator wants a card for. */
@Component
class PaperAdapter implements ServiceAdapter {
    private static final ServiceRules RULES = ServiceRules.of("Paper");

    /** What stands on a card. */
    private static final Set<String> PRINTED = Set.of(
            "CALL", "STATION_CALLSIGN", "QSO_DATE", "TIME_ON", "BAND", "MODE", "SUBMODE", "RST_SENT", "PROP_MODE");

    @Override
    public ServiceRules rules() {
        return RULES;
    }

    @Override
    public Access access() {
        return new Access(null, null, "");
    }

    @Override
    public boolean everyContact() {
        return false;
    }

    @Override
    public int maxBatchSize() {
        return 500;
    }

    @Override
    public AdifFields render(Contact contact) {
        return ContactAdif.write(contact).without(name -> !PRINTED.contains(name));
    }

    @Override
    public byte[] pack(List<Parcel> parcels, @Nullable SigningKey key) {
        return new byte[0];
    }

    @Override
    public Line line(Account account) {
        throw new UnsupportedOperationException("cards go by hand");
    }
}
