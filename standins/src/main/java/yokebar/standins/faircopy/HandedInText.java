package yokebar.standins.faircopy;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Predicate;

/** A log as it was handed in, read by itself: nothing of Yokebar reads it here. */
final class HandedInText {
    private static final Set<String> MODES = Set.of("CW", "PH", "FM", "RY", "DG");
    private static final int MAX_RECEIPT = 60;
    private static final int FREQUENCY = 0;
    private static final int MODE = 1;
    private static final int DATE = 2;
    private static final int TIME = 3;
    private static final int OWN_CALL = 4;

    private final String text;
    private final Predicate<String> refused;
    private final Map<String, String> header = new TreeMap<>();
    private final List<ReadContact> contacts = new ArrayList<>();
    private final List<Map<String, Object>> faults = new ArrayList<>();

    /**
     * A contact of the log.
     *
     * @param line from 1
     * @param call of the other station
     */
    record ReadContact(int line, String date, String call) {}

    /** @param refused whether a call is not taken */
    HandedInText(String text, Predicate<String> refused) {
        this.text = text;
        this.refused = refused;
        read(text.lines().toList());
    }

    String text() {
        return text;
    }

    List<ReadContact> contacts() {
        return contacts;
    }

    /** What cannot be taken, each a line and words. */
    List<Map<String, Object>> faults() {
        return faults;
    }

    long claimed() {
        String claimed = header.getOrDefault("CLAIMED-SCORE", "0");
        return claimed.matches("\\d{1,15}") ? Long.parseLong(claimed) : 0;
    }

    /** One for each contest, year and call. */
    String receipt() {
        String year = contacts.get(0).date().substring(0, 4);
        String name = (year + "-" + header.get("CONTEST") + "-" + header.get("CALLSIGN")).replaceAll("[^A-Z0-9-]", "-");
        return name.substring(0, Math.min(MAX_RECEIPT, name.length()));
    }

    private void read(List<String> lines) {
        for (int i = 0; i < lines.size(); i++) {
            String line = lines.get(i);
            int colon = line.indexOf(':');
            if (colon < 1) {
                fault(i + 1, "a line begins with a name and a colon");
            } else if (line.startsWith("QSO:")) {
                contact(i + 1, line.substring(colon + 1).strip().split("\\s+"));
            } else {
                header.put(line.substring(0, colon), line.substring(colon + 1).strip());
            }
        }
        if (lines.isEmpty() || !lines.get(0).equals("START-OF-LOG: 3.0")) {
            fault(1, "a log begins with START-OF-LOG: 3.0");
        }
        for (String name : List.of("CONTEST", "CALLSIGN", "END-OF-LOG")) {
            if (!header.containsKey(name)) {
                fault(Math.max(1, lines.size()), "the log has no line " + name);
            }
        }
        if (contacts.isEmpty() && faults.isEmpty()) {
            fault(lines.size(), "the log has no contact");
        }
    }

    private void contact(int line, String[] words) {
        // Both halves have as many words: a call and an exchange.
        int other = OWN_CALL + (words.length - OWN_CALL) / 2;
        if (words.length < OWN_CALL + 2 || (words.length - OWN_CALL) % 2 != 0) {
            fault(line, "the two exchanges have not as many words");
        } else if (!words[FREQUENCY].matches("\\d{1,6}(\\.\\dG)?|\\d+G|LIGHT")) {
            fault(line, words[FREQUENCY] + " is not a frequency");
        } else if (!MODES.contains(words[MODE])) {
            fault(line, words[MODE] + " is not a mode");
        } else if (!words[DATE].matches("\\d{4}-\\d\\d-\\d\\d") || !words[TIME].matches("[0-2]\\d[0-5]\\d")) {
            fault(line, "date and time are written as 2026-12-01 1407");
        } else if (!words[OWN_CALL].equals(header.get("CALLSIGN"))) {
            fault(line, "the contact was made by " + words[OWN_CALL] + ", the log is of " + header.get("CALLSIGN"));
        } else if (receivedNothing(List.of(words).subList(other + 1, words.length))) {
            fault(line, "nothing was received from " + words[other]);
        } else if (refused.test(words[other])) {
            fault(line, words[other] + " was not on the air in this contest");
        } else {
            contacts.add(new ReadContact(line, words[DATE], words[other]));
        }
    }

    /** Words may be left out where the sides send different things, but not all besides the report. */
    private static boolean receivedNothing(List<String> received) {
        return received.contains("-")
                && received.stream().allMatch(word -> word.equals("-") || word.matches("59{1,2}"));
    }

    private void fault(int line, String words) {
        faults.add(Map.of("line", line, "words", words));
    }
}
