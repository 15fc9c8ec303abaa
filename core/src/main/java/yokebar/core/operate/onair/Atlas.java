package yokebar.core.operate.onair;

import java.time.LocalDate;
import java.util.HashMap;
import java.util.Map;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.call.CallParts;
import yokebar.core.basics.call.Prefix;
import yokebar.core.basics.entity.Entities;
import yokebar.core.basics.entity.Situation;
import yokebar.core.basics.geo.Locator;
import yokebar.core.basics.geo.Path;
import yokebar.core.basics.geo.Point;

/** Where the stations are that are heard and that hear, each worked out once. Not thread-safe. */
public final class Atlas {
    private static final int MAX_STATIONS = 50_000;
    private static final int SQUARE = 4;

    private final Entities entities;
    private final @Nullable Point here;
    private final LocalDate today;
    private final Map<Call, Whereabouts> known = new HashMap<>();
    private final Map<Call, String> squares = new HashMap<>();
    private final Map<Call, String> states = new HashMap<>();
    private final Function<Call, Home> homes;

    /**
     * @param here our own place; null when it is not known
     * @param today the day calls are read for, UTC
     */
    public Atlas(Entities entities, @Nullable Point here, LocalDate today) {
        this(entities, here, today, call -> Home.UNKNOWN);
    }

    /** @param homes what is known of a station before it says anything itself; asked once for each */
    public Atlas(Entities entities, @Nullable Point here, LocalDate today, Function<Call, Home> homes) {
        this.homes = homes;
        this.entities = entities;
        this.here = here;
        this.today = today;
    }

    public @Nullable Point here() {
        return here;
    }

    public LocalDate today() {
        return today;
    }

    public Whereabouts of(Call call) {
        Whereabouts there = known.get(call);
        if (there == null) {
            if (known.size() >= MAX_STATIONS) {
                known.clear();
                squares.clear();
                states.clear();
            }
            there = find(call);
            known.put(call, there);
        }
        return there;
    }

    /** It said where it is. */
    public void reported(Call call, Locator locator) {
        Whereabouts before = of(call);
        Point point = locator.centre();
        squares.put(call, locator.text().substring(0, SQUARE));

        if (!point.equals(before.point())) {
            known.put(call, new Whereabouts(before.situation(), before.area(), point, path(point)));
        }
    }

    /**
     * More became known of where a station lives; what it said itself stands above that.
     *
     * @return whether anything is different now
     */
    public boolean learnt(Call call, Home home) {
        if (!known.containsKey(call)) {
            return false;
        }
        boolean news = false;
        if (home.state() != null) {
            news = !home.state().equals(states.put(call, home.state()));
        }
        if (home.locator() != null && !squares.containsKey(call)) {
            reported(call, home.locator());
            news = true;
        }
        return news;
    }

    /** The first four characters of the locator it told or lives in; null when neither is known. */
    @Nullable
    String square(Call call) {
        return squares.get(call);
    }

    /** The state it lives in; null when nobody knows. */
    @Nullable
    String state(Call call) {
        return states.get(call);
    }

    private Whereabouts find(Call call) {
        Situation situation = entities.of(call, today).orElse(null);
        Point point = situation == null ? null : situation.entity().centre();
        Home home = homes.apply(call);
        if (home.state() != null) {
            states.put(call, home.state());
        }
        if (home.locator() != null) {
            point = home.locator().centre();
            squares.put(call, home.locator().text().substring(0, SQUARE));
        }
        String area = CallParts.of(call).nowhere() ? "" : Prefix.of(call).text();
        return new Whereabouts(situation, area, point, path(point));
    }

    private @Nullable Path path(@Nullable Point point) {
        return here == null || point == null ? null : Path.between(here, point);
    }
}
