package yokebar.app.log;

import java.util.List;
import yokebar.core.contact.LoggedContact;

/** New contacts are in the log. Published inside the transaction that stores them. */
public record ContactsLogged(List<LoggedContact> contacts) {}
