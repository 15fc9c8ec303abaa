package yokebar.app.platform.live;

import java.util.Collection;
import java.util.LinkedHashSet;
import java.util.Set;

/** What a topic has gathered and not sent yet, each once; any thread adds, one takes. */
public final class Pending<T> {
    private Set<T> gathered = new LinkedHashSet<>();

    public synchronized void add(T one) {
        gathered.add(one);
    }

    public synchronized void addAll(Collection<? extends T> many) {
        gathered.addAll(many);
    }

    public synchronized void removeAll(Collection<? extends T> many) {
        many.forEach(gathered::remove);
    }

    /** All that was gathered; the next call returns only what came after this one. */
    public synchronized Set<T> take() {
        Set<T> taken = gathered;
        gathered = new LinkedHashSet<>();
        return taken;
    }
}
