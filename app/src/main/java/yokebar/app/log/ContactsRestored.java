package yokebar.app.log;

import java.util.List;
import yokebar.core.log.contact.LoggedContact;

/**
 * Deleted contacts are back in the log. Published inside the transaction that brings them back.
 *
 * @param deletedBy the change that had deleted them
 */
public record ContactsRestored(long deletedBy, List<LoggedContact> contacts) {}
