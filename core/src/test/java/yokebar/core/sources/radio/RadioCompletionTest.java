package yokebar.core.sources.radio;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.Test;
import yokebar.core.log.adif.AdifFields;

class RadioCompletionTest {
    private static final ModeMapping MAPPING = new ModeMapping(false);
    private static final RadioCompletion.Reading ON_20 = reading(14_074_000L, RadioMode.DATA_U, 80);
    private static final RadioCompletion.Reading ON_2M = reading(145_500_000L, RadioMode.FM, 25);

    private static RadioCompletion.Reading reading(Long hz, RadioMode mode, Integer watts) {
        return new RadioCompletion.Reading(
                1, new RadioState(hz, null, Vfo.A, mode, false, false, watts, null, null), MAPPING);
    }

    @Test
    void blanksAreFilled() {
        RadioCompletion.Completed done =
                RadioCompletion.complete(AdifFields.of("CALL", "ZP5QXA"), List.of(ON_20, ON_2M), 1L);
        assertThat(done.fields())
                .isEqualTo(AdifFields.of("CALL", "ZP5QXA", "FREQ", "14.074", "MODE", "FT8", "TX_PWR", "80"));
        assertThat(done.fromRadio()).contains("FREQ", "MODE", "TX_PWR");
    }

    @Test
    void recordWithoutBandIsCompletedOnlyFromTheRadioOfItsSource() {
        AdifFields record = AdifFields.of("CALL", "ZP5QXA");
        RadioCompletion.Reading second = new RadioCompletion.Reading(2, ON_2M.state(), MAPPING);
        assertThat(RadioCompletion.complete(record, List.of(ON_20, second), null)
                        .fields())
                .isEqualTo(record);
        assertThat(RadioCompletion.complete(record, List.of(ON_20, second), 2L)
                        .fields()
                        .get("FREQ"))
                .isEqualTo("145.5");
        assertThat(RadioCompletion.complete(record, List.of(ON_20), 2L).fields())
                .as("its radio is off")
                .isEqualTo(record);
    }

    @Test
    void whatTheRecordSaysStands() {
        AdifFields said = AdifFields.of("CALL", "ZP5QXA", "FREQ", "14.0765", "MODE", "FT4", "TX_PWR", "5");
        RadioCompletion.Completed done = RadioCompletion.complete(said, List.of(ON_20), 1L);
        assertThat(done.fields()).isEqualTo(said);
        assertThat(done.fromRadio()).isEmpty();
    }

    @Test
    void onlyTheRadioOnTheRecordsBandIsAsked() {
        RadioCompletion.Completed done =
                RadioCompletion.complete(AdifFields.of("CALL", "ZP5QXA", "BAND", "2m"), List.of(ON_20, ON_2M), 1L);
        assertThat(done.fields().get("FREQ")).isEqualTo("145.5");
        assertThat(done.fields().get("TX_PWR")).isEqualTo("25");
        assertThat(RadioCompletion.complete(AdifFields.of("BAND", "40m"), List.of(ON_20, ON_2M), 1L)
                        .fromRadio())
                .isEmpty();
        assertThat(RadioCompletion.complete(AdifFields.of("FREQ", "nonsense"), List.of(ON_20), 1L)
                        .fromRadio())
                .isEmpty();
    }

    @Test
    void aRadioThatSaidNothingGivesNothing() {
        RadioCompletion.Reading silent = new RadioCompletion.Reading(1, RadioState.UNKNOWN, MAPPING);
        RadioCompletion.Reading offBand = reading(9_000_000L, RadioMode.AM, 100);
        assertThat(RadioCompletion.complete(AdifFields.of("CALL", "ZP5QXA"), List.of(silent, offBand), 1L)
                        .fromRadio())
                .isEmpty();
    }

    @Test
    void withSplitTheTransmitFrequencyCounts() {
        RadioState split =
                new RadioState(14_195_000L, 14_200_000L, Vfo.A, RadioMode.USB, true, false, null, null, null);
        RadioCompletion.Completed done = RadioCompletion.complete(
                AdifFields.of("CALL", "ZP5QXA"), List.of(new RadioCompletion.Reading(1, split, MAPPING)), 1L);
        assertThat(done.fields().get("FREQ")).isEqualTo("14.2");
        assertThat(done.fields().get("SUBMODE")).isEqualTo("USB");
        assertThat(done.fields().get("TX_PWR")).isNull();
    }

    @Test
    void onlyContactsMadeJustNow() {
        Instant now = Instant.parse("2026-05-01T14:10:00Z");
        Duration span = Duration.ofMinutes(10);
        assertThat(RadioCompletion.madeWithin(span, at("20260501", "140700"), now))
                .isTrue();
        assertThat(RadioCompletion.madeWithin(span, at("20260501", "1401"), now))
                .isTrue();
        assertThat(RadioCompletion.madeWithin(span, at("20260501", "135900"), now))
                .isFalse();
        assertThat(RadioCompletion.madeWithin(span, at("20250501", "140700"), now))
                .isFalse();
        assertThat(RadioCompletion.madeWithin(span, at("20260501", "991100"), now))
                .isFalse();
        assertThat(RadioCompletion.madeWithin(span, at("2026-5-1", "1407"), now))
                .isFalse();
        assertThat(RadioCompletion.madeWithin(span, AdifFields.EMPTY, now)).isFalse();
        AdifFields longOne = AdifFields.of(
                "QSO_DATE", "20260501", "TIME_ON", "1200", "QSO_DATE_OFF", "20260501", "TIME_OFF", "1409");
        assertThat(RadioCompletion.madeWithin(span, longOne, now)).isTrue();
    }

    private static AdifFields at(String date, String time) {
        return AdifFields.of("QSO_DATE", date, "TIME_ON", time);
    }
}
