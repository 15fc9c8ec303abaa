package yokebar.app.services.delivery.ledger;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.IdClass;
import jakarta.persistence.Table;

/** What a service calls a contact of ours. */
@Entity
@IdClass(DeliveryKey.class)
@Table(name = "remote_contact")
public class RemoteContact {
    @Id
    long contactId;

    @Id
    int serviceId;

    public String number = "";

    public DeliveryKey key() {
        return new DeliveryKey(contactId, serviceId);
    }
}
