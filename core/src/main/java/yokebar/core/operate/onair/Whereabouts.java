package yokebar.core.operate.onair;

import org.jspecify.annotations.Nullable;
import yokebar.core.basics.entity.Situation;
import yokebar.core.basics.geo.Path;
import yokebar.core.basics.geo.Point;

/**
 * Where a station is, as far as its call or its locator tells.
 *
 * @param situation null at sea, in the air, and where the call belongs to nobody
 * @param area its prefix with the digit of its call area, such as {@code K1}
 * @param point null when nothing tells
 * @param path from us to it; null when either end is unknown
 */
public record Whereabouts(@Nullable Situation situation, String area, @Nullable Point point, @Nullable Path path) {

    /** ADIF's two letters; null when unknown. */
    public @Nullable String continent() {
        return situation == null ? null : situation.continent();
    }

    /** ADIF's number of its entity; 0 when it is in none. */
    public int entity() {
        return situation == null ? 0 : situation.entity().number();
    }

    /** 1 to 40; 0 when unknown. */
    public int cqZone() {
        return situation == null ? 0 : situation.cqZone();
    }
}
