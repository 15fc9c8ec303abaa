package yokebar.core.operate.onair;

import org.jspecify.annotations.Nullable;
import yokebar.core.basics.geo.Locator;

/**
 * What is known of where a station lives, from callbooks. No feed tells it.
 *
 * @param state as ADIF's STATE; null when it is not known
 * @param locator null when it is not known
 */
public record Home(@Nullable String state, @Nullable Locator locator) {
    public static final Home UNKNOWN = new Home(null, null);
}
