package yokebar.core.operate.contest;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import yokebar.core.platform.data.DataLines;

/** The definitions that ship with the application. */
public final class ShippedDefinitions {
    private static final List<String> FILES = List.of(
            "lantern-weekend",
            "prefix-harvest",
            "corvo-calling",
            "nine-islands-party",
            "field-camp",
            "summit-hours",
            "teleprinter-days",
            "wednesday-hour",
            "generations",
            "keepers-roll",
            "six-by-four",
            "hopscotch-sprint");

    private ShippedDefinitions() {}

    /** Their texts by the names of their files. */
    public static Map<String, String> texts() {
        Map<String, String> texts = new LinkedHashMap<>();
        FILES.forEach(file -> texts.put(file, DataLines.textBeside(ShippedDefinitions.class, file + ".yaml")));
        return texts;
    }
}
