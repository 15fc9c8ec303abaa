package yokebar.app.log;

import java.util.List;

/** These contacts stand differently at a service now. */
public record SealsChanged(List<Long> contactIds) {}
