package yokebar.app.log;

import java.util.List;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.LoggedContact;

/** Contacts in the log are different now. Published inside the transaction that stores them. */
public record ContactsChanged(List<Change> changes) {

    /** One contact as it was and as it is. */
    public record Change(Contact before, LoggedContact after) {}

    public List<Long> ids() {
        return changes.stream().map(change -> change.after().id()).toList();
    }
}
