package yokebar.app.services.mail;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import jakarta.persistence.Version;

/** Where the gateway is, and as whom we call it. */
@Entity
@Table(name = "mail_gateway")
class MailGatewayRow {
    static final int ONLY = 1;

    @Id
    int id = ONLY;

    @Version
    int version;

    /** Host and port. */
    String address = "";

    String callSign = "";
}
