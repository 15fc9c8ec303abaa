package yokebar.app.operate.contest;

import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import yokebar.app.operate.contest.definition.ContestDefinitions;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.entity.Entities;
import yokebar.core.basics.geo.Locator;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.operate.contest.ContactFacts;
import yokebar.core.operate.contest.ContestContact;
import yokebar.core.operate.contest.ContestDefinition;
import yokebar.core.operate.contest.ContestScore;
import yokebar.core.operate.contest.ExchangeField;
import yokebar.core.operate.contest.Fact;
import yokebar.core.operate.contest.Verdict;

/** The contacts of one book, counted. Not safe for use by several threads; {@link BookScores} sees to that. */
final class CountedBook {
    /** Higher than all ids of the log: of two contacts in one second the one that is not logged yet was the second. */
    private static final long NOT_LOGGED = Long.MAX_VALUE;

    private final ContestDefinition definition;
    private final String ownCall;
    private final ContactFacts facts;
    private final Map<Fact, String> own;
    private final ContestScore score;
    private final BookOrder contacts = new BookOrder();

    /** @param locator of the place operated from, or null */
    CountedBook(BookRow book, Entities entities, @Nullable Locator locator) {
        definition = ContestDefinitions.checked(book.definition);
        ownCall = book.ownCall;
        facts = new ContactFacts(definition, entities);
        own = facts.own(new Call(ownCall), definition.from(), locator, book.sent);
        score = new ContestScore(definition, own, BookHeader.choices(book, definition));
    }

    ContestDefinition definition() {
        return definition;
    }

    ContestScore score() {
        return score;
    }

    /** Whether a contact belongs into the book: its own call in the span of the contest, and not said to be of another one. */
    boolean takes(Contact contact) {
        String contest = contact.detail("CONTEST_ID");
        return contact.ownCall().text().equals(ownCall)
                && definition.lasts(contact.start())
                && (contest == null || contest.isBlank() || contest.equalsIgnoreCase(definition.cabrilloName()));
    }

    Optional<Contact> contact(long id) {
        return contacts.find(id);
    }

    boolean has(long id) {
        return contacts.find(id).isPresent();
    }

    /** @param logged null when the contact is not in the log any more */
    void take(long id, @Nullable LoggedContact logged) {
        if (logged == null || !takes(logged.contact())) {
            contacts.remove(id);
            score.remove(id);
        } else {
            contacts.put(id, logged.contact());
            score.put(facts.of(id, logged.contact()));
        }
    }

    /** The contacts, by what is asked of them. */
    BookOrder contacts() {
        return contacts;
    }

    ContestContact inContest(long id, Contact contact) {
        return facts.of(id, contact);
    }

    /** What a contact that is not logged yet would bring. */
    Verdict worth(Contact contact) {
        return score.wouldBe(facts.of(NOT_LOGGED, contact));
    }

    /** What the own station sends. */
    List<ExchangeField> sentFields() {
        return facts.sentBy(own);
    }

    /** What a station sends. */
    List<ExchangeField> fieldsOf(Call call, Instant at) {
        return facts.sentBy(usualFacts(call, at));
    }

    /** What the call of a station says about it. */
    Map<Fact, String> usualFacts(Call call, Instant at) {
        return facts.own(call, at, null, Map.of());
    }

    ExchangeField field(String name) {
        return definition.exchange().stream()
                .filter(field -> field.name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    /** What was received in a field, this year or in an earlier one; null in a contact that was not of this contest. */
    @Nullable
    String received(Contact contact, ExchangeField field) {
        boolean ofThisContest =
                takes(contact) || definition.cabrilloName().equalsIgnoreCase(contact.detail("CONTEST_ID"));
        return ofThisContest ? facts.of(NOT_LOGGED, contact).facts().get(Fact.exchange(field.name())) : null;
    }
}
