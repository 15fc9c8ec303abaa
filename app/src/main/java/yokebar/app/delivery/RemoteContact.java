package yokebar.app.delivery;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** What a service calls a contact of ours. */
@Entity
@Table(name = "remote_contact")
class RemoteContact {
    @Id
    long deliveryId;

    String number = "";
}
