package yokebar.core.call;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;

/**
 * A call taken apart: {@code OZ/CU9QYB/P} is the station CU9QYB, said to be in OZ.
 *
 * @param base the call as it was issued
 * @param place the part that tells where it is: the base, or a country's prefix before or after it
 * @param nowhere whether it is at sea or in the air, in no entity
 */
public record CallParts(String base, String place, boolean nowhere) {
    /** Said behind a call, they tell how, not where. */
    private static final Set<String> HOW = Set.of("P", "M", "A", "QRP", "QRPP", "R", "LH", "J", "B", "LGT");

    public static CallParts of(Call call) {
        if (call.text().indexOf('/') < 0) {
            return new CallParts(call.text(), call.text(), false);
        }
        List<String> parts = new ArrayList<>(List.of(call.text().split("/")));
        boolean nowhere = parts.size() > 1 && (parts.contains("MM") || parts.contains("AM"));
        String area = "";
        for (int i = parts.size() - 1; i > 0; i--) {
            String part = parts.get(i);
            if (part.length() == 1 && Character.isDigit(part.charAt(0))) {
                area = part;
                parts.remove(i);
            } else if (HOW.contains(part) || part.equals("MM") || part.equals("AM")) {
                parts.remove(i);
            }
        }
        String base = longest(parts);
        String place = base;
        for (String part : parts) {
            if (!part.equals(base)) {
                place = part;
                break;
            }
        }
        return new CallParts(base, area.isEmpty() ? place : inArea(place, area), nowhere);
    }

    /** The shorter part is the designator; of two alike the second is the call. */
    private static String longest(List<String> parts) {
        String longest = parts.get(0);
        for (String part : parts) {
            longest = part.length() >= longest.length() ? part : longest;
        }
        return longest;
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
