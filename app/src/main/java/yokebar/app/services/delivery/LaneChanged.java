package yokebar.app.services.delivery;

/** Something about a service's lane is different: counts, a handover, its trouble, its settings. */
public record LaneChanged(int serviceId) {}
