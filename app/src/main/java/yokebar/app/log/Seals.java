package yokebar.app.log;

import java.util.Collection;
import java.util.List;
import java.util.Map;

/** Knows where contacts stand at the services; the delivery feature provides it. */
public interface Seals {

    /** The seals of each contact asked for, by contact. */
    Map<Long, List<Seal>> of(Collection<Long> contactIds);
}
