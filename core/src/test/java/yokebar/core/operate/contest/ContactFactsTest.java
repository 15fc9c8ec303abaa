package yokebar.core.operate.contest;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.util.Map;
import java.util.Objects;
import org.junit.jupiter.api.Test;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.call.Call;
import yokebar.core.basics.entity.Entities;
import yokebar.core.basics.mode.Mode;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.Contact;

class ContactFactsTest {
    private static Map<Fact, String> facts(String contest, String call, String... details) {
        ContestDefinition definition = Objects.requireNonNull(DefinitionReader.read(
                        Objects.requireNonNull(ShippedDefinitions.texts().get(contest)))
                .definition());
        Contact contact = new Contact(
                new Call("CU9QYB"),
                new Call(call),
                Instant.parse("2026-11-28T10:00:00Z"),
                true,
                null,
                Band.M20,
                null,
                new Mode("CW", null),
                null,
                AdifFields.of(details));
        return new ContactFacts(definition, Entities.shipped()).of(1, contact).facts();
    }

    @Test
    void theZoneThatWasReceivedWinsOverTheZoneOfTheCall() {
        assertThat(facts("lantern-weekend", "W1QAA")).containsEntry(Fact.CQ_ZONE, "5");
        assertThat(facts("lantern-weekend", "W1QAA", "CQZ", "4")).containsEntry(Fact.CQ_ZONE, "4");
        assertThat(facts("lantern-weekend", "W1QAA", "CQZ", "4", "RST_RCVD", "599", "SRX_STRING", "03"))
                .containsEntry(Fact.CQ_ZONE, "3")
                .containsEntry(Fact.exchange("zone"), "3");
    }

    @Test
    void aZoneIsReceivedOnlyInAContactOfTheContest() {
        assertThat(facts("lantern-weekend", "W1QAA", "CQZ", "4")).doesNotContainKey(Fact.exchange("zone"));
        assertThat(facts("lantern-weekend", "W1QAA", "CQZ", "4", "CONTEST_ID", "Lantern-Weekend"))
                .containsEntry(Fact.exchange("zone"), "4");
    }

    @Test
    void aZoneThatLooksLikeAReportIsAZone() {
        assertThat(facts("lantern-weekend", "DL1QAA", "RST_RCVD", "599", "SRX_STRING", "14"))
                .containsEntry(Fact.exchange("report"), "599")
                .containsEntry(Fact.exchange("zone"), "14");
    }

    @Test
    void aZoneThatAProgramTookForASerialIsAZone() {
        assertThat(facts("lantern-weekend", "DL1QAA", "RST_RCVD", "599", "SRX", "14", "CONTEST_ID", "LANTERN-WEEKEND"))
                .containsEntry(Fact.exchange("zone"), "14");
    }

    @Test
    void theReportMayStandInTheReceivedTextToo() {
        assertThat(facts("lantern-weekend", "DL1QAA", "RST_RCVD", "599", "SRX_STRING", "5NN 14"))
                .containsEntry(Fact.exchange("report"), "599")
                .containsEntry(Fact.exchange("zone"), "14");
    }

    @Test
    void aSerialMayStandInItsOwnFieldOfTheLog() {
        assertThat(facts("summit-hours", "EA8QAB", "SRX", "17", "GRIDSQUARE", "IL18qi"))
                .containsEntry(Fact.exchange("serial"), "17")
                .containsEntry(Fact.LOCATOR, "IL18QI")
                .containsEntry(Fact.SQUARE, "IL18");
    }

    @Test
    void aSerialThatIsKeptApartLeavesTheTextToTheRest() {
        assertThat(facts("summit-hours", "EA8QAB", "RST_RCVD", "59", "SRX", "17", "SRX_STRING", "IL18QI"))
                .containsEntry(Fact.exchange("serial"), "17")
                .containsEntry(Fact.exchange("locator"), "IL18QI");
        assertThat(facts("field-camp", "EA8QAB", "SRX_STRING", "1A SUL"))
                .containsEntry(Fact.exchange("class"), "1A")
                .containsEntry(Fact.exchange("section"), "SUL");
    }

    @Test
    void onlyStationsOfTheIslandsSendAnIsland() {
        assertThat(facts("corvo-calling", "CU2QAA", "RST_RCVD", "599", "SRX_STRING", "SMI 12"))
                .containsEntry(Fact.exchange("island"), "SMI")
                .containsEntry(Fact.exchange("serial"), "12");
        assertThat(facts("corvo-calling", "DL1QAA", "RST_RCVD", "599", "SRX_STRING", "12"))
                .doesNotContainKey(Fact.exchange("island"))
                .containsEntry(Fact.exchange("serial"), "12");
    }

    @Test
    void whatIsNotKnownIsNotThere() {
        assertThat(facts("lantern-weekend", "CU9QYB/MM")).doesNotContainKeys(Fact.ENTITY, Fact.CONTINENT, Fact.STATE);
    }
}
