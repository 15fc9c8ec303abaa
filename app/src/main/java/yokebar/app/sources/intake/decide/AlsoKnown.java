package yokebar.app.sources.intake.decide;

import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import java.time.Instant;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.mode.Mode;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.Contact;

/** What another record said of a contact that the operator joined with it: records like that one are this contact, too. */
@Entity
@Table(name = "also_known")
public class AlsoKnown {
    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "also_known")
    @SequenceGenerator(name = "also_known", sequenceName = "also_known_seq", allocationSize = 1)
    @Nullable
    Long id;

    long contactId;
    long changeId;
    String ownCall = "";
    String callSign = "";
    Instant startedAt = Instant.EPOCH;
    boolean secondsKnown;
    String band = "";
    String mode = "";

    @Nullable
    String submode;

    static AlsoKnown of(long contactId, long changeId, Contact contact) {
        AlsoKnown known = new AlsoKnown();
        known.contactId = contactId;
        known.changeId = changeId;
        known.ownCall = contact.ownCall().text();
        known.callSign = contact.call().text();
        known.startedAt = contact.start();
        known.secondsKnown = contact.secondsKnown();
        known.band = contact.band().adifName();
        known.mode = contact.mode().name();
        known.submode = contact.mode().submode();
        return known;
    }

    /** A contact with only what identifies it. */
    Contact identity() {
        Band on = Band.named(band);
        if (on == null) {
            throw new IllegalStateException("stored on no band: " + band);
        }
        return new Contact(
                new Call(ownCall),
                new Call(callSign),
                startedAt,
                secondsKnown,
                null,
                on,
                null,
                new Mode(mode, submode),
                null,
                AdifFields.EMPTY);
    }
}
