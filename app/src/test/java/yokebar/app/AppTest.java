package yokebar.app;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.test.context.DynamicPropertyRegistry;
import org.springframework.test.context.DynamicPropertySource;

/** The whole application on a database file of its own, with real sockets. Every test starts with an empty log. */
public abstract class AppTest extends RunningTest {
    private static final Path HOME = temporaryFolder();

    /** What is set up, which a test that changes it puts back; and the contacts, which were taken out before. */
    private static final Set<String> SETTINGS = Set.of(
            "flyway_schema_history",
            "adjudicator",
            "callbook",
            "callbook_answer",
            "callbook_file_entry",
            "callbook_picture",
            "contact",
            "delivery_tally",
            "feed",
            "followed_record",
            "further_call",
            "hookup_switch",
            "intake_setting",
            "intake_source",
            "on_air_choices",
            "on_air_view",
            "operating_position",
            "operator",
            "picture_settings",
            "place",
            "radio",
            "reference_source",
            "rotor",
            "safety",
            "scoreboard",
            "service",
            "solar_reading",
            "station");

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
        emptyTables();
        jdbc.update("update delivery_tally set contacts = 0");
        jdbc.update("update service set address = null, account = null, sealed_password = null,"
                + " confirmations_from = null, confirmations_until = null, swept_until = null, swept_at = null, last_handover_at = null,"
                + " proven = false, paused = false, takes_relayed = false, own_calls = '', from_day = null");
        put("/api/services/pause", Map.of("paused", false));
        jdbc.update("delete from operating_position where id <> 1");
        put("/api/positions/1", Map.of("operatorId", 0, "placeId", 0, "radioId", 0, "ownCall", ""));
        jdbc.update("delete from further_call");
        put("/api/station", Map.of("ownCall", "CU9QYB"));
    }

    /** All but the settings, so that a table somebody adds is emptied without being named anywhere. */
    private void emptyTables() {
        List<String> tables = jdbc.queryForList(
                "select lower(table_name) from information_schema.tables where table_schema = 'PUBLIC'", String.class);
        tables.removeAll(SETTINGS);
        jdbc.execute("set referential_integrity false");
        try {
            tables.forEach(table -> jdbc.update("delete from " + table));
        } finally {
            jdbc.execute("set referential_integrity true");
        }
    }
}
