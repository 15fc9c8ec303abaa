package yokebar.core.log.contact;

import static org.assertj.core.api.Assertions.assertThat;
import static yokebar.core.log.contact.Contacts.contact;

import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import yokebar.core.basics.entity.Entities;

class CallCorrectionTest {
    private static final Entities ENTITIES = Entities.shipped();

    private static Map<String, @Nullable String> corrected(
            Contact contact, Provenance provenance, Map<String, @Nullable String> changes) {
        return CallCorrection.complete(new LoggedContact(1, contact, provenance), changes, ENTITIES);
    }

    private static Contact american(String... more) {
        Contact contact =
                contact("CALL", "W1QAB", "DXCC", "291", "COUNTRY", "United States", "CONT", "NA", "CQZ", "05");
        for (int i = 0; i < more.length; i += 2) {
            contact = Contacts.readable(ContactEdit.apply(contact, Map.of(more[i], more[i + 1])));
        }
        return contact;
    }

    @Test
    void anotherCallIsInItsOwnEntity() {
        Map<String, @Nullable String> changes =
                corrected(american(), Provenance.of(Source.OPERATOR), Map.of("CALL", "DL1QAB"));
        assertThat(changes)
                .containsEntry("CALL", "DL1QAB")
                .containsEntry("DXCC", "230")
                .containsEntry("CONT", "EU")
                .containsEntry("CQZ", "14");
    }

    @Test
    void whatSomebodyGaveStays() {
        Map<String, @Nullable String> changes =
                corrected(american("CQZ", "3"), Provenance.of(Source.OPERATOR), Map.of("CALL", "DL1QAB", "CONT", "AS"));
        assertThat(changes).doesNotContainKey("CQZ").containsEntry("CONT", "AS");
    }

    @Test
    void whatTheCallbookKnewOfTheOtherGoes() {
        Provenance provenance = Provenance.of(Source.OPERATOR).with(List.of("NAME", "QTH"), Source.CALLBOOK);
        Map<String, @Nullable String> changes =
                corrected(american("NAME", "Ana"), provenance, Map.of("CALL", "W1QAC", "QTH", "Boston"));
        assertThat(changes).containsEntry("NAME", null).containsEntry("QTH", "Boston");
    }

    @Test
    void nothingElseChangesWithTheSameCallOrNone() {
        assertThat(corrected(american(), Provenance.of(Source.OPERATOR), Map.of("CALL", "w1qab")))
                .isEqualTo(Map.of("CALL", "w1qab"));
        assertThat(corrected(american(), Provenance.of(Source.OPERATOR), Map.of("NAME", "Ana")))
                .isEqualTo(Map.of("NAME", "Ana"));
        assertThat(corrected(american(), Provenance.of(Source.OPERATOR), Map.of("CALL", "?")))
                .isEqualTo(Map.of("CALL", "?"));
    }
}
