package yokebar.core.log.adif;

import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * Names of user-defined fields that are not written like ADIF's own. ADIF 3.1.x lets them hold anything but commas, colons and
 * angle or curly brackets, with no blank at their ends; XML element names may hold far less.
 */
final class OddName {
    /** The longest name read, in bytes of UTF-8. */
    static final int MAX_BYTES = 300;

    private static final Pattern PLAIN = Pattern.compile("[A-Z_][A-Z0-9_]*");
    /** Elements of ADX that are not fields. */
    private static final Set<String> TAKEN = Set.of("APP", "USERDEF", "RECORD", "RECORDS", "HEADER", "ADX");

    private static final Pattern FORBIDDEN = Pattern.compile("[,:<>{}\\p{Cntrl}\\ud800-\\udfff\\ufffe\\uffff]");

    private OddName() {}

    /** Whether it can be no name of ADIF's own, so that it goes the way of user-defined fields. */
    static boolean isOdd(String name) {
        return !PLAIN.matcher(name).matches() || TAKEN.contains(name) || name.startsWith("XML");
    }

    /** The odd ones of these names, each once, as they are written. */
    static List<String> odd(Collection<String> names) {
        return names.stream()
                .filter(OddName::isOdd)
                .map(OddName::written)
                .distinct()
                .sorted()
                .toList();
    }

    /** The name with an underscore for each character ADIF forbids in it. */
    static String written(String name) {
        if (PLAIN.matcher(name).matches()) {
            return name;
        }
        String allowed = FORBIDDEN.matcher(name).replaceAll("_").strip();
        return allowed.isEmpty() ? "_" : allowed;
    }
}
