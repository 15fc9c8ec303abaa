package yokebar.app.station.settings;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Service;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import yokebar.app.platform.rejection.Rejection;

/** Writes and reads the settings file. */
@Service
class SettingsFile {
    private static final Logger LOG = LoggerFactory.getLogger(SettingsFile.class);
    private static final String MARK = "yokebarSettings";
    private static final int VERSION = 1;

    private final List<SettingsPart> parts;
    private final JsonMapper json;

    SettingsFile(List<SettingsPart> parts, JsonMapper json) {
        this.parts = parts;
        this.json = json;
    }

    /**
     * What came of restoring.
     *
     * @param taken how many things of each part were taken
     * @param problems a sentence for everything that was not
     */
    record Restored(Map<String, Integer> taken, List<String> problems) {}

    String save() {
        Map<String, Object> file = new LinkedHashMap<>();
        file.put(MARK, VERSION);
        parts.forEach(part -> file.put(part.name(), part.save()));
        return json.writerWithDefaultPrettyPrinter().writeValueAsString(file);
    }

    Restored restore(byte[] content) {
        JsonNode file = read(content);
        Map<String, Integer> taken = new LinkedHashMap<>();
        List<String> problems = new ArrayList<>();
        for (SettingsPart part : parts) {
            JsonNode saved = file.path(part.name());
            if (!saved.isMissingNode()) {
                try {
                    taken.put(part.name(), part.restore(saved, problems));
                } catch (RuntimeException e) {
                    LOG.warn("The part {} of a settings file was not restored", part.name(), e);
                    problems.add("The part " + part.name() + " is not as it was written and was left out.");
                }
            }
        }
        return new Restored(taken, problems);
    }

    private JsonNode read(byte[] content) {
        JsonNode file;
        try {
            file = json.readTree(content);
        } catch (JacksonException e) {
            throw new Rejection("file", "This is not a settings file: " + e.getOriginalMessage());
        }
        if (file.path(MARK).asInt(0) < 1) {
            throw new Rejection("file", "This is not a settings file of Yokebar.");
        }
        if (file.path(MARK).asInt() > VERSION) {
            throw new Rejection("file", "This file was written by a newer Yokebar.");
        }
        return file;
    }
}
