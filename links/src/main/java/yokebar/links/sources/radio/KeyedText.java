package yokebar.links.sources.radio;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;

/** A text for the keyer of a radio, in the parts it takes. */
final class KeyedText {
    private KeyedText() {}

    /**
     * Parts end between words, for a radio may make a pause behind each; only a word that is longer than a part is cut.
     *
     * @param longest characters a part can have
     */
    static List<String> parts(String text, int longest) {
        String tidy = text.toUpperCase(Locale.ROOT)
                .replaceAll("[^A-Z0-9 /?.,=+-]", "")
                .strip();
        List<String> parts = new ArrayList<>();
        String rest = tidy;
        while (rest.length() > longest) {
            int blank = rest.lastIndexOf(' ', longest);
            int end = blank > 0 ? blank : longest;
            parts.add(rest.substring(0, end).strip());
            rest = rest.substring(end).strip();
        }
        if (!rest.isEmpty()) {
            parts.add(rest);
        }
        return parts;
    }
}
