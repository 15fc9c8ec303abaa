package yokebar.app.sources.rotor;

import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * A heading with a name, turned to with one click.
 *
 * @param headingDegrees degrees true, 0 to 359
 */
public record RotorPreset(int headingDegrees, String name) {
    private static final int MAX_PRESETS = 12;
    private static final Pattern LINE = Pattern.compile("(\\d{1,3})\\s+(\\S.{0,39})");

    /**
     * Reads lines such as {@code 45 Europe}.
     *
     * @throws IllegalArgumentException with a sentence that names the line
     */
    static List<RotorPreset> read(String text) {
        List<RotorPreset> presets = text.lines()
                .map(String::strip)
                .filter(line -> !line.isEmpty())
                .map(RotorPreset::line)
                .toList();
        if (presets.size() > MAX_PRESETS) {
            throw new IllegalArgumentException("there is room for " + MAX_PRESETS + " presets, not " + presets.size());
        }
        return presets;
    }

    private static RotorPreset line(String line) {
        Matcher shape = LINE.matcher(line);
        if (!shape.matches() || Integer.parseInt(shape.group(1)) > 359) {
            throw new IllegalArgumentException(
                    "\"" + line + "\" is not a preset; it is a heading and a name, such as 45 Europe");
        }
        return new RotorPreset(Integer.parseInt(shape.group(1)), shape.group(2));
    }
}
