package yokebar.core.services.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static yokebar.core.log.contact.Contacts.contact;
import static yokebar.core.log.contact.Contacts.logged;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.core.basics.call.Call;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.log.contact.Source;

class EligibilityTest {
    private static final Instant NOW = Instant.parse("2026-05-01T14:10:00Z");
    private static final ServiceRules RULES = ServiceRules.of("Countersign");
    private static final List<SigningIdentity> IDENTITIES = List.of(new SigningIdentity(
            new Call("CU9QYB"), Instant.parse("2020-01-01T00:00:00Z"), Instant.parse("2027-01-01T00:00:00Z"), null));

    @ParameterizedTest(name = "{0}={1}: {2}")
    @CsvSource({
        "NAME, Ana,",
        "PROP_MODE, ES,",
        "PROP_MODE, SAT,",
        "PROP_MODE, RPT, RELAYED",
        "PROP_MODE, ECH, RELAYED",
        "PROP_MODE, IRL, RELAYED",
        "PROP_MODE, INTERNET, RELAYED",
        "MODE, ATV, MODE_NOT_TAKEN",
        "BAND, submm, BAND_NOT_TAKEN",
        "TIME_ON, 141500,",
        "TIME_ON, 142001, IN_THE_FUTURE",
        "QSO_DATE, 20260502, IN_THE_FUTURE",
        "STATION_CALLSIGN, CU9QLZ, NO_IDENTITY",
        "QSO_DATE, 20191231, NO_IDENTITY",
    })
    void firstRuleThatHolds(String field, String value, Eligibility.Rule rule) {
        assertThat(Eligibility.check(contact(field, value), RULES, Choices.PLAIN, IDENTITIES, NOW)
                        .map(Hold::rule))
                .isEqualTo(Optional.ofNullable(rule));
    }

    @Test
    void anIdentityWhoseCertificateHasEndedSignsNothing() {
        SigningIdentity good = IDENTITIES.get(0);
        SigningIdentity ended =
                new SigningIdentity(good.call(), good.validFrom(), good.validUntil(), NOW.minusSeconds(1));
        assertThat(Eligibility.check(contact(), RULES, Choices.PLAIN, List.of(ended), NOW))
                .hasValueSatisfying(hold -> {
                    assertThat(hold.rule()).isEqualTo(Eligibility.Rule.IDENTITY_ENDED);
                    assertThat(HoldSentence.of(hold, "Countersign")).contains("CU9QYB", "ended on 2026-05-01");
                });
        assertThat(Eligibility.check(contact(), RULES, Choices.PLAIN, List.of(ended, good), NOW))
                .isEmpty();
    }

    @ParameterizedTest(name = "{0} {1}={2}: {3}")
    @CsvSource({
        "Quayside, PROP_MODE, RPT, RELAYED_UNASKED",
        "Quayside, STATION_CALLSIGN, CU9QLZ,",
        "Postbag, NAME, Ana, FIELD_MISSING",
        "Postbag, RST_SENT, 599,",
        "Postbag, QSO_DATE, 19891231, FIELD_MISSING",
        "Paper, PROP_MODE, RPT,",
    })
    void eachServiceHasItsOwnRules(String service, String field, String value, Eligibility.Rule rule) {
        assertThat(Eligibility.check(contact(field, value), ServiceRules.of(service), Choices.PLAIN, List.of(), NOW)
                        .map(Hold::rule))
                .isEqualTo(Optional.ofNullable(rule));
    }

    @Test
    void theOperatorChoosesWithinWhatTheServiceTakes() {
        Choices choices = new Choices(true, Set.of(new Call("CU9QYB")), LocalDate.parse("2026-01-01"));
        ServiceRules quayside = ServiceRules.of("Quayside");
        assertThat(Eligibility.check(contact("PROP_MODE", "RPT"), quayside, choices, List.of(), NOW))
                .isEmpty();
        assertThat(Eligibility.check(contact("PROP_MODE", "RPT"), RULES, choices, IDENTITIES, NOW))
                .isPresent();
        assertThat(Eligibility.check(contact("STATION_CALLSIGN", "CU9QLZ"), quayside, choices, List.of(), NOW))
                .map(Hold::rule)
                .contains(Eligibility.Rule.OTHER_OWN_CALL);
        assertThat(Eligibility.check(contact("QSO_DATE", "20251231"), quayside, choices, List.of(), NOW))
                .map(Hold::rule)
                .contains(Eligibility.Rule.BEFORE_CHOSEN_DAY);
    }

    @Test
    void whatTheServiceCountsOnceGoesOnce() {
        LoggedContact first = logged(1, Source.DATAGRAM);
        LoggedContact second = logged(2, Source.DATAGRAM, "TIME_ON", "140730");
        LoggedContact third = logged(3, Source.DATAGRAM, "TIME_ON", "140830");
        List<LoggedContact> log = List.of(first, second, third);
        assertThat(Eligibility.countedAlready(first, log, RULES)).isEmpty();
        assertThat(HoldSentence.of(
                        Eligibility.countedAlready(second, log, RULES).orElseThrow(), "Countersign"))
                .isEqualTo(
                        "Countersign counts it as one with the contact at 14:07 UTC. Join the two, or leave this one out.");
        assertThat(Eligibility.countedAlready(third, List.of(first, third), RULES))
                .isEmpty();
        assertThat(Eligibility.countedAlready(second, log, ServiceRules.of("Paper")))
                .isEmpty();
    }

    @Test
    void saysWhyInWords() {
        assertThat(sentence(contact("PROP_MODE", "RPT")))
                .isEqualTo("Made over a repeater, and Countersign takes direct contacts only.");
        assertThat(sentence(contact("STATION_CALLSIGN", "CU9QLZ")))
                .isEqualTo("No certificate for CU9QLZ is installed for Countersign.");
        assertThat(sentence(contact("QSO_DATE", "20191231"))).contains("from 2020-01-01 to 2027-01-01");
    }

    @Test
    void aBadLineOfTheDataFileIsNamed() {
        assertThatThrownBy(() -> ServiceRules.read("Quayside | ways-never | RPT\nQuayside | bands-not | 21m"))
                .hasMessage("Line 2: 21m is not a band: \"Quayside | bands-not | 21m\".");
        assertThatThrownBy(() -> ServiceRules.read("Quayside | likes | CW")).hasMessageContaining("no rule likes");
    }

    private static String sentence(Contact contact) {
        return HoldSentence.of(
                Eligibility.check(contact, RULES, Choices.PLAIN, IDENTITIES, NOW)
                        .orElseThrow(),
                "Countersign");
    }
}
