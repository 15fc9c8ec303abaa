package yokebar.app.services.delivery.ledger;

/** A contact at a service: what a delivery, the service's own number for it and its withdrawal are found by. */
public record DeliveryKey(long contactId, int serviceId) {}
