package yokebar.app.services.confirm;

import java.util.List;

/**
 * The other side agrees: confirmations of these contacts are in.
 *
 * @param firsts what of it was confirmed for the first time
 */
public record ConfirmationReceived(int serviceId, List<Long> contactIds, List<First> firsts) {

    /**
     * Something that is new with a confirmation.
     *
     * @param service as the operator knows it
     * @param brings in words, such as {@code a new entity, Cabo Verde}
     */
    public record First(String service, String call, String brings) {}
}
