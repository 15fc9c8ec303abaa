package yokebar.links.services.delivery;

/**
 * What the service gave for a batch: proof that it has it, not that it took the contacts.
 *
 * @param number the service's number for the batch
 * @param words what it said
 */
public record Receipt(String number, String words) {}
