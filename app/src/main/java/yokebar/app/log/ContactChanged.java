package yokebar.app.log;

import yokebar.core.contact.Contact;
import yokebar.core.contact.LoggedContact;

/** A contact in the log is different now. Published inside the transaction that stores it. */
public record ContactChanged(Contact before, LoggedContact after) {}
