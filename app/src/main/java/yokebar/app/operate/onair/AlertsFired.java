package yokebar.app.operate.onair;

import java.util.List;

/** Alerts that fired just now. */
public record AlertsFired(List<Alert> alerts) {}
