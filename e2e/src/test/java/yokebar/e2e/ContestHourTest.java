package yokebar.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import yokebar.standins.world.Station;

/**
 * An operator works the simulated world by keyboard alone, running and searching by turns, with every text sent by the radio. At a
 * contact every twenty seconds 180 are an hour; time passes faster here.
 */
class ContestHourTest extends ContestBrowserTest {
    private static final int CONTACTS = Integer.getInteger("yokebar.contest-hour", 24);
    private static final int CALLS_IN_A_TURN = 12;
    private static final int KEYER_TEMPO = 60;

    private final Random random = new Random(23);
    /** The serials that each station sent, one a contact. */
    private final Map<String, Integer> theirSerials = new HashMap<>();
    /** What was logged: call, the serial that was sent, the serial that was received, zone. */
    private final List<String> made = new ArrayList<>();

    private final Set<String> worked = new HashSet<>();
    private final Set<String> zones = new HashSet<>();
    private int points;
    private int dupes;
    private int passedOver;

    ContestHourTest() {
        super(37);
    }

    @Override
    void begin() throws Exception {
        furnish(14_025_000, "CW");
        standIns.hfRadio().front().setKeyerTempo(KEYER_TEMPO);
        SampleContest.define(yokebar.address());
    }

    @Test
    void anHourByKeyboardAloneLosesNothingAndIsCountedRight() throws Exception {
        beginABook();
        page.keyboard().press("Alt+w");
        boolean runs = true;
        List<Station> world = standIns.world().stations().stream()
                .filter(station -> station.entityCode() != 0)
                .limit(CONTACTS)
                .toList();
        for (int i = 0; made.size() < CONTACTS; i++) {
            Station station = world.get(random.nextInt(world.size()));
            if (runs) {
                run(station);
            } else {
                search(station);
            }
            if (i % CALLS_IN_A_TURN == CALLS_IN_A_TURN - 1) {
                // Past logging alone to the other way of working.
                page.keyboard().press("Alt+w");
                if (!runs) {
                    page.keyboard().press("Alt+w");
                }
                runs = !runs;
            }
        }
        everythingIsInTheLog();
        System.out.println(CONTACTS + " contacts by keyboard: " + dupes + " dupes worked, " + passedOver
                + " passed over, " + points + " points, " + zones.size() + " zones");
    }

    /** Everybody who calls is worked, also a station that was worked before: it does not have us in its log. */
    private void run(Station station) {
        assertThat(says()).containsText("Enter sends CQ TEST CU9QYB CU9QYB");
        page.keyboard().press("Enter");
        keyed("CQ TEST CU9QYB CU9QYB");
        int serial = made.size() + 1;
        page.keyboard().type(station.call().toLowerCase());
        assertThat(says()).containsText("Enter sends " + station.call() + " 5NN " + serial + " 14");
        page.keyboard().press("Enter");
        keyed(station.call() + " 5NN " + serial + " 14");
        receive(station, "Enter sends TU CU9QYB and logs it");
        keyed("TU CU9QYB");
        logged(station, serial);
    }

    /** Whoever searches sees that a station was worked before, and passes it over. */
    private void search(Station station) {
        assertThat(says()).containsText("Type the call of the station that you want to call.");
        page.keyboard().type(station.call().toLowerCase());
        assertThat(says()).containsText("Enter sends CU9QYB");
        boolean before = worked.contains(station.call());
        assertThat(says().getByText("Worked before")).hasCount(before ? 1 : 0);
        if (before) {
            passedOver++;
            page.keyboard().press("Escape");
            assertThat(line()).hasValue("");
            return;
        }
        int serial = made.size() + 1;
        page.keyboard().press("Enter");
        assertThat(says()).not().containsText("Enter sends CU9QYB");
        receive(station, "Enter sends 5NN " + serial + " 14 and logs it");
        keyed("5NN " + serial + " 14");
        logged(station, serial);
    }

    /** The exchange of the station comes through: at once, when it was asked for, or with its zone left to be guessed. */
    private void receive(Station station, String then) {
        int serial = theirSerials.merge(station.call(), 1 + random.nextInt(60), Integer::sum);
        String zone = " " + station.cqZone();
        switch (random.nextInt(4)) {
            case 0 -> {
                assertThat(says()).containsText("Enter sends NR ZONE?");
                page.keyboard().press("Enter");
                keyed("NR ZONE?");
                page.keyboard().type(" " + serial + zone);
            }
            case 1 -> {
                page.keyboard().type(" " + serial);
                assertThat(says()).containsText("Enter takes zone");
                if (says().innerText().endsWith("Enter takes zone" + zone)) {
                    page.keyboard().press("Enter");
                } else {
                    page.keyboard().type(zone);
                }
            }
            default -> page.keyboard().type(" " + serial + zone);
        }
        assertThat(says()).containsText(then);
        page.keyboard().press("Enter");
        assertThat(line()).hasValue("");
    }

    private void keyed(String text) {
        Until.itIs(
                "the radio keys " + text,
                () -> standIns.hfRadio().front().keyedText().strip().endsWith(text));
    }

    private void logged(Station station, int serial) {
        Until.itIs(
                station.call() + " is logged",
                () -> contacts().path(0).path("call").asString("").equals(station.call()));
        made.add(station.call() + " " + serial + " " + theirSerials.get(station.call()) + " " + station.cqZone());
        if (worked.add(station.call())) {
            points += station.continent().equals("EU") ? 1 : 3;
            zones.add(station.cqZone() + "");
        } else {
            dupes++;
        }
    }

    /** The latest contacts of the book. */
    private JsonNode contacts() throws Exception {
        return yokebar.get("api/contest-books/1/contacts");
    }

    private void everythingIsInTheLog() throws Exception {
        List<String> lines = yokebar.text("api/contest-books/1/cabrillo")
                .lines()
                .filter(line -> line.startsWith("QSO:"))
                .map(line -> line.strip().split("\\s+"))
                .map(part -> part[9] + " " + part[7] + " " + part[11] + " " + part[12])
                .toList();
        assertThat(lines).containsExactlyElementsOf(made);
        JsonNode score = yokebar.get("api/contest-books/1/score");
        assertThat(score.path("contacts").asInt()).isEqualTo(worked.size());
        assertThat(score.path("dupes").asInt()).isEqualTo(dupes);
        assertThat(score.path("points").asInt()).isEqualTo(points);
        assertThat(score.path("score").asLong()).isEqualTo((long) points * zones.size());
        assertThat(yokebar.get("api/contest-books/1/serial-gaps")).isEmpty();
    }
}
