package yokebar.app.station.reference;

import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.station.StationList;

/** One of the lists of stations. */
final class KeptStations implements ReferenceList {
    private final String name;
    private final String words;
    private final ReferenceFile file;
    private final Runnable changed;
    private volatile @Nullable StationList list;

    /** @param changed told when another list is in use */
    KeptStations(String name, String words, Path home, Runnable changed) {
        this.name = name;
        this.words = words;
        this.file = new ReferenceFile(home, name);
        this.changed = changed;
        this.list = file.kept(StationList::read).orElse(null);
    }

    @Override
    public String file() {
        return name;
    }

    @Override
    public String words() {
        return words;
    }

    Optional<StationList> list() {
        return Optional.ofNullable(list);
    }

    @Override
    public @Nullable LocalDate edition() {
        return list().map(StationList::edition).orElse(null);
    }

    @Override
    public synchronized void take(String text) throws IOException {
        StationList fresh = StationList.read(text);
        newer(fresh.edition());
        put(text, fresh);
    }

    /**
     * Takes a list that the operator chose, whatever its edition is.
     *
     * @throws IllegalArgumentException saying what is wrong with it; then nothing has changed
     */
    synchronized void choose(String text) throws IOException {
        put(text, StationList.read(text));
    }

    private void put(String text, StationList fresh) throws IOException {
        file.put(text);
        list = fresh;
        changed.run();
    }

    synchronized void drop() throws IOException {
        file.remove();
        list = null;
        changed.run();
    }
}
