package yokebar.app.log;

import java.util.List;
import java.util.Map;
import yokebar.core.log.contact.LoggedContact;

/**
 * New contacts are in the log. Published inside the transaction that stores them.
 *
 * @param held whether they wait with every service until the operator lets them go
 * @param origins which service is meant by an origin that their fields name; most often empty
 */
public record ContactsLogged(List<LoggedContact> contacts, boolean held, Map<String, Integer> origins) {}
