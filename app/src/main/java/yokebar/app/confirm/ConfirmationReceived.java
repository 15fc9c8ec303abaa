package yokebar.app.confirm;

import java.util.List;

/** The other side agrees: confirmations of these contacts are in. */
public record ConfirmationReceived(int serviceId, List<Long> contactIds) {}
