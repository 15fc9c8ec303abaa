package yokebar.core.basics.entity;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.CharRange;
import net.jqwik.api.constraints.Chars;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import yokebar.core.basics.call.Call;

class EntitiesTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 5, 1);
    private static final Entities ENTITIES = Entities.shipped();

    @ParameterizedTest
    @CsvSource({
        "CU9QYB, Azores, 14, 36",
        "CT1QAA, Portugal, 14, 37",
        "CT3QAA, Madeira Islands, 33, 36",
        "OH0QAA, Åland Islands, 15, 18",
        "OH2QAA, Finland, 15, 18",
        "G4QAA, England, 14, 27",
        "GM4QAA, Scotland, 14, 27",
        "MM0QAA, Scotland, 14, 27",
        "K1QAA, United States of America, 5, 8",
        "W6QAA, United States of America, 3, 6",
        "N5QAA, United States of America, 4, 7",
        "AL7QAA, Alaska, 1, 1",
        "KH6QAA, Hawaii, 31, 61",
        "KG4QA, Guantánamo Bay, 8, 11",
        "VE3QAA, Canada, 4, 4",
        "VY2QAA, Canada, 5, 9",
        "UA3QAA, European Russia, 16, 29",
        "R9QAA, Asiatic Russia, 17, 30",
        "UA2QAA, Kaliningrad, 15, 29",
        "JD1QAA, Ogasawara, 27, 45",
        "HK0QAA, San Andrés and Providencia, 7, 11",
        "ZP5QXA, Paraguay, 11, 14",
        "9M6QAA, East Malaysia, 28, 54",
        "9M2QAA, West Malaysia, 28, 54",
        "3D2QAA, Fiji, 32, 56",
        "VK6QAA, Australia, 29, 58",
    })
    void callsByTheirPrefix(String call, String name, int cqZone, int ituZone) {
        Situation found = ENTITIES.of(new Call(call), TODAY).orElseThrow();
        assertThat(found.entity().name()).isEqualTo(name);
        assertThat(found.cqZone()).isEqualTo(cqZone);
        assertThat(found.ituZone()).isEqualTo(ituZone);
    }

    @ParameterizedTest
    @CsvSource({
        "OZ/CU9QYB, Denmark",
        "CU9QYB/HB0, Liechtenstein",
        "CU9QYB/P, Azores",
        "CU9QYB/QRP, Azores",
        "OZ/CU9QYB/P, Denmark",
        "CT1QAA/CT3, Madeira Islands",
        "EA8/DL1QAA/M, Canary Islands",
        "4U1UN, United Nations New York",
        "4U1ITU, ITU Geneva",
        "4U1VIC, Austria",
    })
    void designatorsMoveACallOrDoNot(String call, String name) {
        assertThat(ENTITIES.of(new Call(call), TODAY).orElseThrow().entity().name())
                .isEqualTo(name);
    }

    @ParameterizedTest
    @CsvSource({
        "TA1QAA, EU, 20, 39",
        "TA2QAA, AS, 20, 39",
        "IG9QAA, AF, 33, 37",
        "IT9QAA, EU, 15, 28",
        "VO2QAA, NA, 2, 9",
        "UA9XQA, EU, 17, 20",
    })
    void partsOfAnEntityHaveZonesAndContinentsOfTheirOwn(String call, String continent, int cqZone, int ituZone) {
        Situation found = ENTITIES.of(new Call(call), TODAY).orElseThrow();
        assertThat(found.continent()).isEqualTo(continent);
        assertThat(found.cqZone()).isEqualTo(cqZone);
        assertThat(found.ituZone()).isEqualTo(ituZone);
        assertThat(found.fields().get("CONT")).isEqualTo(continent);
    }

    @Test
    void aDigitChangesTheCallArea() {
        assertThat(ENTITIES.of(new Call("K1QAA/6"), TODAY).orElseThrow().cqZone())
                .isEqualTo(3);
    }

    @ParameterizedTest
    @ValueSource(strings = {"CU9QYB/MM", "DL1QAA/AM", "QQ1QAA"})
    void nowhere(String call) {
        assertThat(ENTITIES.of(new Call(call), TODAY)).isEmpty();
    }

    @Test
    void entitiesThatAreGoneCountUntilTheirLastDay() {
        Call call = new Call("Y22QAA");
        assertThat(ENTITIES.of(call, LocalDate.of(1990, 10, 2)).orElseThrow().entity())
                .satisfies(e -> assertThat(e.number()).isEqualTo(229));
        assertThat(ENTITIES.of(call, LocalDate.of(1990, 10, 3)).orElseThrow().entity())
                .satisfies(e -> assertThat(e.number()).isEqualTo(230));
    }

    @Test
    void thereAreAllThatCountAndAllThatDid() {
        assertThat(ENTITIES.all().stream().filter(e -> e.lastDay() == null)).hasSize(340);
        assertThat(ENTITIES.all().stream().filter(e -> e.lastDay() != null)).hasSize(62);
        assertThat(ENTITIES.numbered(149)).map(Entity::name).contains("Azores");
        assertThat(ENTITIES.numbered(998)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "1|EU|14|36|38|-27|Here; Line 1: an entity has 8 columns, not 7",
                "1|XX|14|36|38|-27|Here|CU; there is no continent XX",
                "1|EU|44|36|38|-27|Here|CU; its CQ zone is 1 to 40, not 44",
                "1|EU|14|36|98|-27|Here|CU; its point is not on the earth",
                "1|EU|14|36|38|-27|Here|C!; is not a prefix",
                "1|EU|14|36|38|-27|Here|CZ-CA; is not a range",
                "1|EU|14|36|38|-27|Here|CU,CU; belongs to another entity too",
                "1|EU|14|36|38|-27|Here|CU; It does not say which edition it is.",
                "edition|soon; is not a date",
                "gone; an entity has 8 columns, not 1",
                "gone|lately|1|EU|14|36|38|-27|Here|CU; is not a date",
                "call|CU9QYB|||7; there is no entity 7",
                "'1|EU|14|36|38|-27|Here|CU\nwas|||7|CT|before'; there is no entity 7",
                "'1|EU|14|36|38|-27|Here|CU\nwas|||1|CT'; two days, a number, prefixes and a source",
                "'1|EU|14|36|38|-27|Here|CU\nwas|||1|CT|'; two days, a number, prefixes and a source",
                "'1|EU|14|36|38|-27|Here|CU\nwas|1990-01-01|1989-01-01|1|CT|x'; its last day is before its first",
                "'1|EU|14|36|38|-27|Here|CU\nwas|soon||1|CT|x'; is not a date",
                "# nothing; There is no entity in it.",
            })
    void aFileThatIsWrongIsRefusedByLine(String text, String why) {
        assertThatThrownBy(() -> Entities.read(text)).hasMessageContaining(why);
    }

    @Property(tries = 1000)
    void anyFileIsReadOrRefusedInWords(
            @ForAll
                    @StringLength(max = 200)
                    @Chars({'|', '\n', 'e', 'd', 'g', 'o', 'n', '1', '2', ' ', 'A', '(', '=', '-'})
                    String text) {
        try {
            assertThat(Entities.read(text).edition()).isNotNull();
        } catch (IllegalArgumentException e) {
            assertThat(e.getMessage()).endsWith(".");
        }
    }

    @Property(tries = 2000)
    void anyCallIsAnsweredWithoutComplaint(
            @ForAll @StringLength(min = 3, max = 12) @CharRange(from = 'A', to = 'Z') @CharRange(from = '/', to = '9')
                    String text) {
        Call call = Call.read(text);
        if (call != null) {
            assertThat(ENTITIES.of(call, TODAY)).isNotNull();
        }
    }
}
