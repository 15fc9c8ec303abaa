package yokebar.app.station.settings;

import java.util.List;
import tools.jackson.databind.JsonNode;

/**
 * One feature's share of the settings file. Those with a lower {@link org.springframework.core.annotation.Order} are restored
 * first: positions need their operators, radios their rotators. What one person would not tell another, a password or a key, is
 * never in it.
 */
public interface SettingsPart {

    /** Its name in the file. */
    String name();

    /** Everything, to be written as JSON. */
    Object save();

    /**
     * Takes over what was saved, what is there under the same name being changed and nothing removed.
     *
     * @param notices gets a sentence for everything that could not be taken; the rest is
     * @return how many things were taken
     */
    int restore(JsonNode saved, List<String> notices);
}
