package yokebar.app.log;

import java.util.List;

/**
 * A change is being taken back. Published inside the first transaction that does.
 *
 * @param brought ids of the contacts that it brought, which are taken out
 */
public record ChangeUndone(long changeId, List<Long> brought) {}
