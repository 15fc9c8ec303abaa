package yokebar.core.operate.contest.tryout;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.band.WrittenFrequency;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.entity.Entities;
import yokebar.core.basics.geo.Locator;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.basics.mode.Modes;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.Contact;
import yokebar.core.operate.contest.ContactFacts;
import yokebar.core.operate.contest.ContestDefinition;
import yokebar.core.operate.contest.ContestEntry;
import yokebar.core.operate.contest.ContestScore;
import yokebar.core.operate.contest.ExchangeField;
import yokebar.core.operate.contest.ExchangeKind;
import yokebar.core.operate.contest.Fact;
import yokebar.core.operate.contest.Score;
import yokebar.core.operate.contest.Verdict;

/**
 * Counts sample contacts by a definition. Each is a line such as {@code 20m CW W1QAB 599 5}: the band or the frequency, the mode,
 * then the call and what was received, as on the contest line. They are a minute apart from the beginning of the contest on.
 */
public final class DefinitionTryout {
    private static final int WORDS_BEFORE_THE_CALL = 2;
    private static final String SHAPE =
            "Write the band or the frequency, the mode, the call and what was received, such as 20m CW W1QAB 599 5.";

    private final ContestDefinition definition;
    private final ContactFacts facts;
    private final Call ownCall;
    private final ContestScore score;
    private final List<Tried> lines = new ArrayList<>();

    private DefinitionTryout(ContestDefinition definition, Entities entities, Call ownCall, @Nullable Locator locator) {
        this.definition = definition;
        this.ownCall = ownCall;
        facts = new ContactFacts(definition, entities);
        Map<Fact, String> own = facts.own(ownCall, definition.from(), locator, Map.of());
        score = new ContestScore(definition, own, Map.of());
    }

    /**
     * A line that was tried.
     *
     * @param problem why it is no contact; null when it is one
     * @param verdict what it is worth; null when it is no contact
     */
    public record Tried(String text, @Nullable String problem, @Nullable Verdict verdict) {}

    /** What came of all lines. */
    public record Result(List<Tried> lines, Score score) {}

    /**
     * @param locator of the place operated from, or null
     * @param lines empty ones are passed over
     */
    public static Result of(
            ContestDefinition definition,
            Entities entities,
            Call ownCall,
            @Nullable Locator locator,
            List<String> lines) {
        DefinitionTryout tryout = new DefinitionTryout(definition, entities, ownCall, locator);
        lines.stream().map(String::strip).filter(line -> !line.isEmpty()).forEach(tryout::count);
        return new Result(tryout.judged(), tryout.score.score());
    }

    /** A later line can make an earlier one count no more: what each is worth is asked when all are there. */
    private List<Tried> judged() {
        List<Tried> judged = new ArrayList<>();
        for (int id = 0; id < lines.size(); id++) {
            Tried line = lines.get(id);
            judged.add(new Tried(line.text(), line.problem(), score.verdict(id)));
        }
        return judged;
    }

    private void count(String text) {
        int id = lines.size();
        String[] words = text.split("\\s+", WORDS_BEFORE_THE_CALL + 1);
        if (words.length <= WORDS_BEFORE_THE_CALL) {
            lines.add(new Tried(text, SHAPE, null));
            return;
        }
        Band named = Band.named(words[0].toLowerCase(Locale.ROOT));
        Long hz = named == null ? WrittenFrequency.read(words[0]) : null;
        Band band = hz == null ? named : Band.of(hz);
        Mode mode = Modes.read(words[1].toUpperCase(Locale.ROOT), null);
        if (band == null) {
            lines.add(new Tried(text, "\"" + words[0] + "\" is neither a band nor a frequency on one. " + SHAPE, null));
        } else if (mode == null) {
            lines.add(new Tried(text, "\"" + words[1] + "\" is not a mode, such as CW or SSB.", null));
        } else {
            lines.add(new Tried(text, contact(id, band, hz, mode, words[WORDS_BEFORE_THE_CALL]), null));
        }
    }

    /** Counts a contact; says what is wrong with its call or exchange instead, or nothing. */
    private @Nullable String contact(int id, Band band, @Nullable Long hz, Mode mode, String typed) {
        Call call = ContestEntry.call(typed);
        if (call == null) {
            return "There is no call in \"" + typed + "\".";
        }
        List<ExchangeField> fields = facts.sentBy(facts.own(call, definition.from(), null, Map.of()));
        String report = mode.group() == ModeGroup.PHONE ? "59" : "599";
        ContestEntry entry = ContestEntry.read(typed, fields, report);
        if (!entry.unread().isEmpty()) {
            return "\"" + entry.unread().get(0) + "\" fits no part of the exchange.";
        }
        if (!entry.missing().isEmpty()) {
            return "Still missing: "
                    + entry.missing().stream().map(ExchangeField::name).collect(Collectors.joining(", ")) + ".";
        }
        AdifFields.Builder details = new AdifFields.Builder();
        details.put("CONTEST_ID", definition.cabrilloName());
        details.put("RST_RCVD", report);
        details.put(
                "SRX_STRING",
                fields.stream()
                        .filter(field -> field.kind() != ExchangeKind.REPORT)
                        .map(field -> entry.received().get(field.name()))
                        .collect(Collectors.joining(" ")));
        Contact contact = new Contact(
                ownCall,
                call,
                definition.from().plusSeconds(60L * id),
                true,
                null,
                band,
                hz,
                mode,
                null,
                details.build());
        score.put(facts.of(id, contact));
        return null;
    }
}
