package yokebar.app;

import java.nio.file.Path;
import java.util.Map;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/** The whole application on a database file of its own, with real sockets. Every test starts with an empty log. */
public abstract class AppTest extends RunningTest {
    private static final Path HOME = temporaryFolder();

    @DynamicPropertySource
    static void settings(DynamicPropertyRegistry registry) {
        on(HOME, registry);
    }

    @BeforeEach
    void emptyLog() throws Exception {
        for (int service : new int[] {1, 2, 3}) {
            put("/api/services/" + service, Map.of("when", "BY_HAND", "inUse", service == 1));
        }
        // Through the application, so that what it holds in memory is empty, too.
        if (count("contact") > 0) {
            changed(sendJson("POST", "/api/changes/delete", Map.of("search", "")));
        }
        for (String table : new String[] {
            "card_picture",
            "contact_picture",
            "confirmation",
            "mail_part",
            "handover",
            "handover_content",
            "remote_contact",
            "withdrawal",
            "paper_card",
            "identity_request",
            "member_activity",
            "mail_gateway",
            "delivery",
            "delivery_past",
            "journey_note",
            "intake_journal",
            "set_aside",
            "also_known",
            "journal_moved",
            "contact_past",
            "contact_added",
            "log_change",
            "second_copy_due",
            "second_copy_edit",
            "saved_view",
            "signing_identity"
        }) {
            jdbc.update("delete from " + table);
        }
        jdbc.update("update delivery_tally set contacts = 0");
        jdbc.update("update service set address = null, account = null, sealed_password = null,"
                + " confirmations_until = null, swept_until = null, swept_at = null, last_handover_at = null,"
                + " proven = false, paused = false, takes_relayed = false, own_calls = '', from_day = null");
        put("/api/services/pause", Map.of("paused", false));
        jdbc.update("delete from operating_position where id <> 1");
        put("/api/positions/1", Map.of("operatorId", 0, "placeId", 0, "radioId", 0, "ownCall", ""));
        jdbc.update("delete from further_call");
        put("/api/station", Map.of("ownCall", "CU9QYB"));
    }
}
