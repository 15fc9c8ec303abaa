package yokebar.core.services.delivery;

import java.time.Duration;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.PropagationMode;
import yokebar.core.platform.data.DataLines;
import yokebar.core.services.confirm.ConfirmationMatch;

/**
 * What a service takes, from the data file {@code services.txt}.
 *
 * @param serviceName as the operator knows it
 * @param signed whether contacts are signed for their own call
 * @param byHand whether nothing goes there over a network
 * @param waysNever ways of travelling it takes by no means
 * @param waysOnRequest ways of travelling that go there only when the operator wants it
 * @param modesNotTaken ADIF modes it does not take
 * @param bandsNotTaken bands it does not take
 * @param fieldsNeeded ADIF fields that must not be empty
 * @param fromDay the first day it keeps contacts of, UTC; null for any
 * @param countsOnce two contacts with one station, band and mode that begin less apart are one there
 * @param agrees how the other side's record is compared
 * @param takesChanges whether an edited contact goes again
 * @param takesBack whether a deleted contact is deleted there
 */
public record ServiceRules(
        String serviceName,
        boolean signed,
        boolean byHand,
        Set<PropagationMode> waysNever,
        Set<PropagationMode> waysOnRequest,
        Set<String> modesNotTaken,
        Set<Band> bandsNotTaken,
        Set<String> fieldsNeeded,
        @Nullable LocalDate fromDay,
        Duration countsOnce,
        ConfirmationMatch.Terms agrees,
        boolean takesChanges,
        boolean takesBack) {

    /**
     * Whether a contact may be confirmed there, by the way it travelled: one that may not go there is not confirmed, whatever the
     * other side sent in.
     */
    public boolean confirms(Contact contact, Choices choices) {
        PropagationMode way = contact.propagation();
        return way == null || !waysNever.contains(way) && (choices.relayed() || !waysOnRequest.contains(way));
    }

    /** The states in which a contact waits to go there, in the order in which they go. */
    public List<DeliveryState> statesThatGo() {
        return takesChanges ? List.of(DeliveryState.CHANGED, DeliveryState.DUE) : List.of(DeliveryState.DUE);
    }

    private static final Map<String, ServiceRules> ALL = read(DataLines.textBeside(ServiceRules.class, "services.txt"));

    public ServiceRules {
        waysNever = Set.copyOf(waysNever);
        waysOnRequest = Set.copyOf(waysOnRequest);
        modesNotTaken = Set.copyOf(modesNotTaken);
        bandsNotTaken = Set.copyOf(bandsNotTaken);
        fieldsNeeded = Set.copyOf(fieldsNeeded);
    }

    /** @throws IllegalArgumentException when the data file speaks of no such service */
    public static ServiceRules of(String serviceName) {
        ServiceRules rules = ALL.get(serviceName);
        if (rules == null) {
            throw new IllegalArgumentException("services.txt says nothing of " + serviceName);
        }
        return rules;
    }

    /** @throws DataLines.BadLine when a line says something that cannot be */
    static Map<String, ServiceRules> read(String text) {
        Map<String, Draft> drafts = new LinkedHashMap<>();
        for (DataLines.Line line : DataLines.of(text)) {
            List<String> columns = line.columns();
            if (columns.size() != 3) {
                throw new DataLines.BadLine(line, "service, rule and words are needed");
            }
            try {
                drafts.computeIfAbsent(columns.get(0), Draft::new).rule(columns.get(1), columns.get(2));
            } catch (IllegalArgumentException | DateTimeParseException e) {
                throw new DataLines.BadLine(line, String.valueOf(e.getMessage()));
            }
        }
        Map<String, ServiceRules> rules = new LinkedHashMap<>();
        drafts.forEach((name, draft) -> rules.put(name, draft.rules()));
        return rules;
    }

    private static final class Draft {
        private final String name;
        private final Set<PropagationMode> never = EnumSet.noneOf(PropagationMode.class);
        private final Set<PropagationMode> onRequest = EnumSet.noneOf(PropagationMode.class);
        private final Set<String> modes = new TreeSet<>();
        private final Set<Band> bands = EnumSet.noneOf(Band.class);
        private final Set<String> needed = new TreeSet<>();
        private @Nullable LocalDate fromDay;
        private Duration countsOnce = Duration.ZERO;
        private ConfirmationMatch.Terms agrees = new ConfirmationMatch.Terms(Duration.ofMinutes(30), false);
        private boolean signed;
        private boolean byHand;
        private boolean takesChanges;
        private boolean takesBack;

        Draft(String name) {
            this.name = name;
        }

        void rule(String rule, String text) {
            String[] words = text.split("\\s+");
            switch (rule) {
                case "signed" -> signed = yes(text);
                case "by-hand" -> byHand = yes(text);
                case "takes-changes" -> takesChanges = yes(text);
                case "takes-back" -> takesBack = yes(text);
                case "ways-never" -> ways(words, never);
                case "ways-on-request" -> ways(words, onRequest);
                case "modes-not" -> modes.addAll(List.of(words));
                case "needs" -> needed.addAll(List.of(words));
                case "bands-not" -> {
                    for (String word : words) {
                        Band band = Band.named(word);
                        if (band == null) {
                            throw new IllegalArgumentException(word + " is not a band");
                        }
                        bands.add(band);
                    }
                }
                case "from-day" -> fromDay = LocalDate.parse(text);
                case "counts-once" -> countsOnce = Duration.ofMinutes(Long.parseLong(text));
                case "agrees" ->
                    agrees = new ConfirmationMatch.Terms(
                            Duration.ofMinutes(Long.parseLong(words[1])), words[0].equals("group"));
                default -> throw new IllegalArgumentException("there is no rule " + rule);
            }
        }

        private static boolean yes(String text) {
            return switch (text) {
                case "yes" -> true;
                case "no" -> false;
                default -> throw new IllegalArgumentException("yes or no is needed");
            };
        }

        private static void ways(String[] words, Set<PropagationMode> into) {
            for (String word : words) {
                PropagationMode way = PropagationMode.read(word);
                if (way == null) {
                    throw new IllegalArgumentException(word + " is not a propagation mode");
                }
                into.add(way);
            }
        }

        ServiceRules rules() {
            return new ServiceRules(
                    name,
                    signed,
                    byHand,
                    never,
                    onRequest,
                    modes,
                    bands,
                    needed,
                    fromDay,
                    countsOnce,
                    agrees,
                    takesChanges,
                    takesBack);
        }
    }
}
