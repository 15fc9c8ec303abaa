package yokebar.app.station.profile;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import yokebar.app.platform.configuration.YokebarProperties;
import yokebar.core.basics.band.Licence;

/** The licences to choose from: those that come with Yokebar and those in the data folder's {@code licences.txt}. */
@Component
public class Licences {
    private static final Logger LOG = LoggerFactory.getLogger(Licences.class);

    private final Map<String, Licence> byId = new LinkedHashMap<>();
    private final @Nullable String problem;

    Licences(YokebarProperties properties) {
        Licence.shipped().forEach(licence -> byId.put(licence.id(), licence));
        problem = addOwn(properties.home().resolve("licences.txt"));
    }

    private @Nullable String addOwn(Path file) {
        if (!Files.exists(file)) {
            return null;
        }
        try {
            Licence.read(Files.readString(file)).forEach(licence -> byId.put(licence.id(), licence));
            return null;
        } catch (IOException | IllegalArgumentException e) {
            LOG.warn("{} cannot be used", file, e);
            return file + " is left out. " + e.getMessage();
        }
    }

    public List<Licence> all() {
        return List.copyOf(byId.values());
    }

    public Optional<Licence> named(@Nullable String id) {
        return Optional.ofNullable(id).map(byId::get);
    }

    /** Why the data folder's own file is not used; null when it is, or there is none. */
    @Nullable
    String problem() {
        return problem;
    }
}
