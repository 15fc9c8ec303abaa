package yokebar.core.log.contact;

/**
 * A contact that is in the log.
 *
 * @param id its number in storage
 * @param provenance which source each field came from
 */
public record LoggedContact(long id, Contact contact, Provenance provenance) {}
