package yokebar.core.operate.contest;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.core.operate.contest.limit.Limit;
import yokebar.core.platform.definition.DefinitionProblem;

class DefinitionReaderTest {
    private static final String RIGHT =
            """
            name: Harbour Hour
            cabrillo name: HARBOUR-HOUR
            periods:
              - {from: 2027-01-02T12:00Z, until: 2027-01-02T13:00Z}
            bands: [40m, 20m]
            modes: CW
            exchange:
              - {name: report, kind: report}
              - {name: berth, kind: word, allowed: [a, b]}
            work again: {each: [band]}
            points:
              - {when: {entity: same}, points: 1}
              - {points: 2}
            multipliers:
              - {name: berths, of: exchange.berth}
            categories:
              - {name: operator, choices: [SINGLE-OP, MULTI-OP]}
            limits:
              moving: {contacts: 2, khz: 1, when: {operator: SINGLE-OP}}
            """;

    private static List<DefinitionProblem> problems(String text) {
        return DefinitionReader.read(text).problems();
    }

    @Test
    void aDefinitionIsReadAsItIsWritten() {
        ContestDefinition definition =
                Objects.requireNonNull(DefinitionReader.read(RIGHT).definition());
        assertThat(definition.name()).isEqualTo("Harbour Hour");
        assertThat(definition.modes()).containsExactly(ContestMode.CW);
        assertThat(definition.exchange().get(1).allowed()).containsExactlyInAnyOrder("A", "B");
        assertThat(definition.points().get(0).when()).containsExactly(new Condition.LikeOwn(Fact.ENTITY, true));
        assertThat(definition.score().multiplyBy()).isEqualTo(ScoreRule.MultiplyBy.SUM);
        assertThat(definition.limits())
                .containsExactly(new Limit.Moving(2, 1000, Map.of("operator", Set.of("SINGLE-OP"))));
    }

    /** One mistake each: what is replaced by what, and the line and the beginning of the sentence about it. */
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "bands: [40m, 20m]|bands: [40m, 7m]|5|\"7m\" is not known here; there are 2190m",
                "bands: [40m, 20m]|band: 40m|1|The field \"bands\" is missing.",
                "modes: CW|modes: MORSE|6|\"MORSE\" is not known here; there are CW, phone, RTTY, digital.",
                "2027-01-02T12:00Z|2027-02-30T12:00Z|4|\"2027-02-30T12:00Z\" is not a time in UTC",
                "2027-01-02T12:00Z|2027-01-02T14:00Z|4|A period ends after it begins.",
                "kind: word|kind: wrd|9|An exchange has fields of these kinds: report, serial,",
                "kind: word|kind: word, known as: A+B|9|It names an ADIF field or a column of the list of stations",
                "kind: report|kind: report, known as: AGE|8|What a report will be is not known beforehand.",
                "name: berth|name: report|9|There is a field \"report\" in the exchange already.",
                "entity: same|enity: same|12|\"enity\" is not known here; there are call, prefix,",
                "{entity: same}|{own entity: same}|12|\"same\" compares the other station with the own one",
                "points: 2|points: two|13|\"two\" is not a whole number from 0 to 100000.",
                "{points: 2}|{points: 2, points per km: 1}|13|A rule gives either \"points\" or \"points per km\".",
                "of: exchange.berth|of: exchange.dock|15|\"exchange.dock\" is not known here;",
                "HARBOUR-HOUR|Harbour Hour|2|A Cabrillo name has at most 32 capitals, digits and hyphens.",
                "points: 1|points: &one 1|12|Write the value out; references (& and *) are not used",
                "work again: {each: [band]}|work again: {each: [band], each: [mode]}|10|The field \"each\" is there twice.",
                "name: Harbour Hour|name: [Harbour, Hour]|1|The field \"name\" has one value, not several.",
                "modes: CW|modes: {CW: yes}|6|The field \"modes\" has one value, not several.",
                "name: operator|name: Operator|17|A category has a name of at most 20 small letters and hyphens.",
                "choices: [SINGLE-OP, MULTI-OP]|choices: []|17|Say what there is to choose from.",
                "choices: [SINGLE-OP, MULTI-OP]|choices: [SINGLE-OP], optional: maybe|17|\"optional\" is true or false.",
                "operator: SINGLE-OP}|overlay: SINGLE-OP}|19|There is no category \"overlay\"; there are operator.",
                "operator: SINGLE-OP}|operator: TWO}|19|\"TWO\" is no choice of \"operator\"; there are SINGLE-OP, MULTI-OP.",
                "khz: 1,|khz: 0,|19|\"0\" is not a whole number from 1 to 1000.",
                "moving: {|standing: {|19|There is no field \"standing\" here; there are operating time,"
            })
    void eachMistakeIsToldWithItsLine(String right, String wrong, int line, String sentence) {
        assertThat(RIGHT).contains(right);
        assertThat(problems(RIGHT.replace(right, wrong))).anySatisfy(problem -> {
            assertThat(problem.line()).isEqualTo(line);
            assertThat(problem.sentence()).startsWith(sentence);
        });
    }

    @Test
    void allMistakesAreToldAtOnce() {
        assertThat(problems(RIGHT.replace("20m", "7m").replace("points: 2", "points: -2")))
                .extracting(DefinitionProblem::line)
                .containsExactly(5, 13);
    }

    @Test
    void aTextThatIsNoDefinitionIsRefusedAsAWhole() {
        assertThat(problems("")).extracting(DefinitionProblem::line).containsExactly(1);
        assertThat(problems("x".repeat(10_000_000)))
                .extracting(DefinitionProblem::sentence)
                .containsExactly("A definition has at most 200000 characters; this one has 10000000.");
        assertThat(problems("name: [unclosed\nbands: x"))
                .singleElement()
                .satisfies(problem -> assertThat(problem.sentence()).startsWith("The text cannot be read here: "));
        assertThat(problems("[".repeat(1000))).hasSize(1);
    }

    @Test
    void aTextThatLeadsBackToItselfIsRefused() {
        assertThat(problems(RIGHT.replace("{entity: same}", "&loop {entity: same, band: [*loop]}")))
                .extracting(DefinitionProblem::sentence)
                .contains("Write the value out; references (& and *) are not used in definitions.");
        assertThat(problems("&all\nname: *all\nbands: *all")).isNotEmpty();
    }
}
