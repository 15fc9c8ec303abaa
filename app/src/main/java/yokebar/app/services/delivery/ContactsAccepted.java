package yokebar.app.services.delivery;

import java.util.List;

/** A service reported on these contacts and took some of them. Published inside the transaction that notes it. */
public record ContactsAccepted(int serviceId, List<Long> contactIds) {}
