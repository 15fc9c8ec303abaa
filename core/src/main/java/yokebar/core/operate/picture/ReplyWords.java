package yokebar.core.operate.picture;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What stands for the placeholders of a layout. What is not known leaves its place empty.
 *
 * @param call the other station's call
 * @param name the other operator's name
 * @param myCall own call
 * @param report the report given
 * @param place name of the own place
 * @param locator own locator
 * @param words the line that is typed for this picture alone
 */
public record ReplyWords(
        String call, String name, String myCall, String report, String place, String locator, String words) {
    private static final Pattern PLACEHOLDER = Pattern.compile("\\{(\\w+)}");

    /** The placeholders by name. */
    public Map<String, String> byPlaceholder() {
        Map<String, String> all = new LinkedHashMap<>();
        all.put("call", call);
        all.put("name", name);
        all.put("mycall", myCall);
        all.put("report", report);
        all.put("place", place);
        all.put("locator", locator);
        all.put("words", words);
        return all;
    }

    /** A template with its placeholders filled in; one that does not exist stays as it is written. */
    public String fill(String template) {
        Map<String, String> all = byPlaceholder();
        Matcher matcher = PLACEHOLDER.matcher(template);
        return matcher.replaceAll(found -> Matcher.quoteReplacement(all.getOrDefault(found.group(1), found.group())))
                .strip()
                .replaceAll("\\s+", " ");
    }
}
