package yokebar.app.log;

import java.util.List;

/** Contacts are out of the log. Published inside the transaction that takes them out. */
public record ContactsDeleted(long changeId, List<Long> ids) {}
