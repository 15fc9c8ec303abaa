package yokebar.app.sources.intake.journal;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;
import jakarta.persistence.Table;

/** A record that did not get into the log, findable by the call it names. */
@Entity
@Table(name = "set_aside")
public class SetAside {
    @Id
    public long journalId;

    public String callSign = "";
}
