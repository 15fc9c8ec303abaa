package yokebar.core.operate.onair;

import java.util.List;

/** ADIF's continents and what people call them. */
public final class Continents {
    /** ADIF's two letters. */
    public static final List<String> ALL = List.of("EU", "AF", "NA", "SA", "AS", "OC", "AN");

    private Continents() {}

    public static String name(String letters) {
        return switch (letters) {
            case "EU" -> "Europe";
            case "AF" -> "Africa";
            case "NA" -> "North America";
            case "SA" -> "South America";
            case "AS" -> "Asia";
            case "OC" -> "Oceania";
            case "AN" -> "Antarctica";
            default -> letters;
        };
    }
}
