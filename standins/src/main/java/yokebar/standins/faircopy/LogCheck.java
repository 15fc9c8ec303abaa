package yokebar.standins.faircopy;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import yokebar.standins.faircopy.HandedInText.ReadContact;
import yokebar.standins.world.Station;
import yokebar.standins.world.World;

/** Compares a log with the stations of the world: calls that were copied wrong, and contacts that some of them do not have. */
final class LogCheck {
    /** Of so many stations one does not have the contact. */
    private static final int NOT_IN_THE_LOG_OF_ONE_IN = 31;

    private LogCheck() {}

    static Map<String, Object> report(HandedInText log, World world) {
        long each = log.claimed() / Math.max(1, log.contacts().size());
        List<Map<String, Object>> findings = new ArrayList<>();
        for (ReadContact contact : log.contacts()) {
            String call = contact.call();
            List<String> near = world.station(call).isPresent()
                    ? List.of()
                    : world.stations().stream()
                            .map(Station::call)
                            .filter(other -> oneSlip(call, other))
                            .toList();
            Map<String, Object> finding = new LinkedHashMap<>();
            if (near.size() == 1) {
                finding.put("words", "the station was " + near.get(0) + "; the call was copied wrong");
                finding.put("rightCall", near.get(0));
            } else if (Math.floorMod(call.hashCode(), NOT_IN_THE_LOG_OF_ONE_IN) == 0) {
                finding.put("words", "the contact is not in the log of " + call);
            } else {
                continue;
            }
            finding.put("line", contact.line());
            finding.put("pointsLost", each);
            findings.add(finding);
        }
        return Map.of(
                "checked",
                true,
                "score",
                log.claimed() - each * findings.size(),
                "digest",
                digest(log.text()),
                "findings",
                findings);
    }

    private static String digest(String text) {
        try {
            return HexFormat.of()
                    .formatHex(MessageDigest.getInstance("SHA-256").digest(text.getBytes(StandardCharsets.UTF_8)));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    private static boolean oneSlip(String one, String other) {
        return one.length() == other.length()
                && IntStream.range(0, one.length())
                                .filter(i -> one.charAt(i) != other.charAt(i))
                                .count()
                        == 1;
    }
}
