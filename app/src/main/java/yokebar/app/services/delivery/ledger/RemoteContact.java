package yokebar.app.services.delivery.ledger;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** What a service calls a contact of ours. */
@Entity
@Table(name = "remote_contact")
public class RemoteContact {
    @Id
    public long deliveryId;

    public String number = "";
}
