package yokebar.core.basics.call;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * A call taken apart: {@code OZ/CU9QYB/P} is the station CU9QYB, said to be in OZ.
 *
 * <p>By convention a visitor writes the country's prefix in front of the call, or behind it. Behind it letters alone are a
 * country only if they are the usual name of one among operators; all others are an occasion, a club or an award. A single
 * letter behind a call is never a country; some countries tell their islands by it.
 *
 * @param base the call as it was issued
 * @param place the part that tells where it is: the base, or a country's prefix before or after it
 * @param nowhere whether it is at sea or in the air, in no entity
 */
public record CallParts(String base, String place, boolean nowhere) {
    /** Country prefixes without a digit that visitors write behind their calls, from the recommendation on visitors' licences. */
    private static final Set<String> COUNTRIES = Set.copyOf(Arrays.asList(
            ("BV BY CE CM CN CO CP CT CU CX DL DU EA EI EK EL EP ER ES ET EU EX EY EZ FG FH FJ FK FM FO FP FR FS FT FW FY"
                            + " GD GI GJ GM GU GW HA HC HH HI HK HL HP HR HS HV HZ JA JD JT JW JX JY LA LU LX LY LZ OA OD OE OH OK"
                            + " OM ON OX OY OZ PA PJ PY PZ SM SP SU SV TA TF TG TI TJ TK TL TN TR TT TU TY TZ UA UN UR VE VK VR VU"
                            + " XE XT XU XV XW XZ YB YI YK YN YO YS YU YV ZA ZF ZL ZP ZS")
                    .split(" ")));
    /** Islands and regions that are told by a letter behind a call of their country, by the beginning of that call. */
    private static final Map<String, String> BY_LETTER = Map.ofEntries(
            Map.entry("3D2/C", "3D2C"),
            Map.entry("3D2/R", "3D2R"),
            Map.entry("E51/N", "E51N"),
            Map.entry("FO/A", "FO0A"),
            Map.entry("FO/M", "FO0M"),
            Map.entry("HK0/M", "HK0M"),
            Map.entry("JD1/M", "JD1M"),
            Map.entry("LU/Z", "LU1Z"),
            Map.entry("SV2/A", "SV2A"),
            Map.entry("VP8/G", "VP8G"),
            Map.entry("VP8/H", "VP8H"),
            Map.entry("VP8/O", "VP8O"),
            Map.entry("VP8/S", "VP8S"));

    public static CallParts of(Call call) {
        if (call.text().indexOf('/') < 0) {
            return new CallParts(call.text(), call.text(), false);
        }
        List<String> parts = List.of(call.text().split("/"));
        String base = base(parts);
        int at = parts.indexOf(base);
        List<String> behind = parts.subList(at + 1, parts.size());
        // Before a whole call MM is not Scotland but at sea, as some write it.
        boolean nowhere = parts.size() > 1
                && (behind.contains("MM")
                        || behind.contains("AM")
                        || at > 0 && parts.get(0).equals("MM"));
        String place = base;
        for (int i = 0; i < at && place.equals(base); i++) {
            place = parts.get(i).equals("MM") ? base : parts.get(i);
        }
        String area = "";
        for (String part : behind) {
            if (part.length() == 1 && Character.isDigit(part.charAt(0))) {
                area = part;
            } else if (place.equals(base) && isCountry(part)) {
                place = part;
            } else if (place.equals(base) && part.length() == 1) {
                place = byLetter(base, part);
            }
        }
        return new CallParts(base, area.isEmpty() ? place : inArea(place, area), nowhere);
    }

    /** The longest part is the call; of two alike the second. */
    private static String base(List<String> parts) {
        List<String> likely =
                new ArrayList<>(parts.stream().filter(CallParts::likeACall).toList());
        String longest = "";
        for (String part : likely.isEmpty() ? parts : likely) {
            longest = part.length() >= longest.length() ? part : longest;
        }
        return longest;
    }

    /** Letters, a digit, and letters behind it. */
    private static boolean likeACall(String part) {
        int digit = -1;
        for (int i = 0; i < part.length(); i++) {
            digit = Character.isDigit(part.charAt(i)) ? i : digit;
        }
        return digit > 0 && digit < part.length() - 1;
    }

    private static boolean isCountry(String part) {
        boolean digit = part.chars().anyMatch(Character::isDigit);
        boolean letter = part.chars().anyMatch(Character::isLetter);
        return COUNTRIES.contains(part) || digit && letter && part.length() <= 4;
    }

    private static String byLetter(String base, String letter) {
        for (int length = 3; length >= 2; length--) {
            String place = base.length() < length ? null : BY_LETTER.get(base.substring(0, length) + "/" + letter);
            if (place != null) {
                return place;
            }
        }
        return base;
    }

    /** {@code W1QAA/6} counts as if it were W6QAA. */
    private static String inArea(String call, String area) {
        for (int i = call.length() - 1; i > 0; i--) {
            if (Character.isDigit(call.charAt(i))) {
                return call.substring(0, i) + area + call.substring(i + 1);
            }
        }
        return call + area;
    }
}
