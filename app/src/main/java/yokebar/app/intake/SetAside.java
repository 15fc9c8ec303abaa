package yokebar.app.intake;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** A record that did not get into the log, findable by the call it names. */
@Entity
@Table(name = "set_aside")
class SetAside {
    @Id
    long journalId;

    String callSign = "";
}
