package yokebar.core.delivery;

import static org.assertj.core.api.Assertions.assertThat;
import static yokebar.core.contact.Contacts.contact;

import java.time.Instant;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.core.call.Call;
import yokebar.core.contact.Contact;

class EligibilityTest {
    private static final Instant NOW = Instant.parse("2026-05-01T14:10:00Z");
    private static final ServiceRules RULES = new ServiceRules("Countersign", false, Set.of("SSTV"), true);
    private static final List<SigningIdentity> IDENTITIES = List.of(new SigningIdentity(
            new Call("CU9QYB"), Instant.parse("2020-01-01T00:00:00Z"), Instant.parse("2027-01-01T00:00:00Z")));

    @ParameterizedTest(name = "{0}={1}: {2}")
    @CsvSource({
        "NAME, Ana,",
        "PROP_MODE, ES,",
        "PROP_MODE, SAT,",
        "PROP_MODE, RPT, RELAYED",
        "PROP_MODE, ECH, RELAYED",
        "PROP_MODE, IRL, RELAYED",
        "PROP_MODE, INTERNET, RELAYED",
        "MODE, SSTV, MODE_NOT_TAKEN",
        "TIME_ON, 141500,",
        "TIME_ON, 142001, IN_THE_FUTURE",
        "QSO_DATE, 20260502, IN_THE_FUTURE",
        "STATION_CALLSIGN, CU9QLZ, NO_IDENTITY",
        "QSO_DATE, 20191231, NO_IDENTITY",
    })
    void firstRuleThatHolds(String field, String value, Eligibility.Rule rule) {
        assertThat(Eligibility.check(contact(field, value), RULES, IDENTITIES, NOW)
                        .map(Eligibility.Hold::rule))
                .isEqualTo(java.util.Optional.ofNullable(rule));
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
    void aServiceMayTakeRelayedContactsAndNeedNoIdentity() {
        ServiceRules open = new ServiceRules("Quayside", true, Set.of(), false);
        assertThat(Eligibility.check(contact("PROP_MODE", "RPT"), open, List.of(), NOW))
                .isEmpty();
    }

    private static String sentence(Contact contact) {
        return Eligibility.check(contact, RULES, IDENTITIES, NOW).orElseThrow().sentence();
    }
}
