package yokebar.app.operate.picture;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Component;

/** Files in the folder that are not taken, with the reason. Kept in memory: after a start they are looked at again. */
@Component
class PictureProblems {
    private static final int MAX = 100;

    private final Map<Path, String> byFile = new LinkedHashMap<>();
    private final ApplicationEventPublisher events;

    PictureProblems(ApplicationEventPublisher events) {
        this.events = events;
    }

    /**
     * A file that was not taken.
     *
     * @param file its name
     * @param sentence why
     */
    record PictureProblem(String file, String sentence) {}

    void add(Path file, String sentence) {
        synchronized (byFile) {
            byFile.remove(file);
            byFile.put(file, sentence);
            if (byFile.size() > MAX) {
                byFile.remove(byFile.keySet().iterator().next());
            }
        }
        events.publishEvent(new PicturesChanged());
    }

    void remove(Path file) {
        boolean there;
        synchronized (byFile) {
            there = byFile.remove(file) != null;
        }
        if (there) {
            events.publishEvent(new PicturesChanged());
        }
    }

    void clear() {
        synchronized (byFile) {
            byFile.clear();
        }
        events.publishEvent(new PicturesChanged());
    }

    /** The latest first. */
    List<PictureProblem> all() {
        synchronized (byFile) {
            List<PictureProblem> all = new ArrayList<>();
            byFile.forEach(
                    (file, sentence) -> all.add(0, new PictureProblem(String.valueOf(file.getFileName()), sentence)));
            return all;
        }
    }
}
