package yokebar.core.sources.radio;

import java.time.DateTimeException;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.LocalTime;
import java.time.ZoneOffset;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.mode.Mode;
import yokebar.core.log.adif.AdifFields;

/**
 * What a radio adds to the record of a contact made just now. Only blanks are filled, and only by a radio on the band the
 * record names; nothing a radio did not report gets into a record.
 */
public final class RadioCompletion {
    /** A power so many times that of the radio, or so many times less, is most likely a mistake. */
    private static final double FAR = 3;

    private RadioCompletion() {}

    /**
     * A radio that is connected, and what its modes mean.
     *
     * @param radioId whatever the caller knows it by
     */
    public record Reading(long radioId, RadioState state, ModeMapping mapping) {}

    /**
     * A record with its blanks filled.
     *
     * @param fromRadio the ADIF names of the fields a radio gave
     * @param radioId the radio it was made on, as far as can be told; null when it was on none
     */
    public record Completed(AdifFields fields, List<String> fromRadio, @Nullable Long radioId) {

        /** As it came, made on no radio we know. */
        public static Completed asItCame(AdifFields fields) {
            return new Completed(fields, List.of(), null);
        }
    }

    /** What a field that a radio gave is called when people talk. */
    public static String words(String adifName) {
        return switch (adifName) {
            case "FREQ" -> "frequency";
            case "MODE", "SUBMODE" -> "mode";
            case "TX_PWR" -> "power";
            default -> adifName;
        };
    }

    /** Whether a record's contact ended, or began where no end is given, within so long before or after a time. */
    public static boolean madeWithin(Duration span, AdifFields record, Instant time) {
        String date = first(record, "QSO_DATE_OFF", "QSO_DATE");
        String clock = first(record, "TIME_OFF", "TIME_ON");
        if (date == null || clock == null || !date.matches("\\d{8}") || !clock.matches("\\d{4}(\\d{2})?")) {
            return false;
        }
        try {
            Instant made = LocalDateTime.of(
                            LocalDate.parse(date, DateTimeFormatter.BASIC_ISO_DATE),
                            LocalTime.of(
                                    Integer.parseInt(clock.substring(0, 2)), Integer.parseInt(clock.substring(2, 4))))
                    .toInstant(ZoneOffset.UTC);
            return Duration.between(made, time).abs().compareTo(span) <= 0;
        } catch (DateTimeException e) {
            return false;
        }
    }

    /** The day a record's contact began, UTC; null when it does not say. */
    public static @Nullable LocalDate day(AdifFields record) {
        String date = record.get("QSO_DATE");
        try {
            return date == null ? null : LocalDate.parse(date, DateTimeFormatter.BASIC_ISO_DATE);
        } catch (DateTimeException e) {
            return null;
        }
    }

    private static @Nullable String first(AdifFields record, String name, String otherwise) {
        String value = record.get(name);
        return value == null ? record.get(otherwise) : value;
    }

    /**
     * Fills the blanks of a record.
     *
     * @param radios the one at hand first
     * @param sourceRadio the radio the record's source belongs to; null when that is not known. A record that names neither
     *     band nor frequency is completed from that radio alone: from any other one it would get a wrong band
     */
    public static Completed complete(AdifFields record, List<Reading> radios, @Nullable Long sourceRadio) {
        boolean saysWhere = saysWhere(record);
        Band band = band(record);
        for (Reading radio : radios) {
            boolean ofSource = sourceRadio != null && sourceRadio == radio.radioId();
            Long hz = radio.state().transmitHz();
            Band tuned = hz == null ? null : Band.of(hz);
            if (hz != null && tuned != null && (saysWhere ? tuned == band : ofSource)) {
                return fill(record, radio, hz);
            }
        }
        return Completed.asItCame(record);
    }

    /** Whether a record names its band or its frequency. */
    public static boolean saysWhere(AdifFields record) {
        return record.get("FREQ") != null || record.get("BAND") != null;
    }

    private static Completed fill(AdifFields record, Reading radio, long hz) {
        List<String> filled = new ArrayList<>();
        AdifFields fields = record;
        if (record.get("FREQ") == null) {
            fields = fields.with("FREQ", megahertz(hz));
            filled.add("FREQ");
        }
        RadioMode radioMode = radio.state().mode();
        Mode mode = radioMode == null ? null : radio.mapping().toLog(radioMode, hz);
        if (record.get("MODE") == null && mode != null) {
            fields = fields.with("MODE", mode.name()).with("SUBMODE", mode.submode());
            filled.add("MODE");
            filled.add("SUBMODE");
        }
        Integer power = radio.state().powerW();
        if (record.get("TX_PWR") == null && power != null) {
            fields = fields.with("TX_PWR", power.toString());
            filled.add("TX_PWR");
        }
        return new Completed(fields, List.copyOf(filled), radio.radioId());
    }

    /** The frequency a record gives, Hz; null when it gives none, or nonsense. */
    public static @Nullable Long frequencyHz(AdifFields record) {
        String frequency = record.get("FREQ");
        try {
            return frequency == null
                    ? null
                    : Math.round(Double.parseDouble(frequency.strip().replace(',', '.')) * 1e6);
        } catch (NumberFormatException e) {
            return null;
        }
    }

    /** What to say when a record's power is far from that of the radio it was made on; null when it is not. */
    public static @Nullable String powerNotice(AdifFields record, @Nullable Long radioId, List<Reading> radios) {
        String txPower = record.get("TX_PWR");
        Integer watts = radios.stream()
                .filter(radio -> radioId != null && radio.radioId() == radioId)
                .map(radio -> radio.state().powerW())
                .filter(Objects::nonNull)
                .findFirst()
                .orElse(null);
        try {
            double inRecord = txPower == null || watts == null
                    ? 0
                    : Double.parseDouble(txPower.strip().replace(',', '.'));
            boolean far = watts != null && inRecord > 0 && (inRecord > FAR * watts || inRecord * FAR < watts);
            return txPower != null && far
                    ? "It says " + txPower.strip() + " W; the radio is set to " + watts + " W."
                    : null;
        } catch (NumberFormatException e) {
            return null;
        }
    }

    private static @Nullable Band band(AdifFields record) {
        if (record.get("FREQ") != null) {
            Long hz = frequencyHz(record);
            return hz == null ? null : Band.of(hz);
        }
        String name = record.get("BAND");
        return name == null ? null : Band.named(name);
    }

    /** MHz with as many decimals as needed, exact to the Hz. */
    private static String megahertz(long hz) {
        return java.math.BigDecimal.valueOf(hz, 6).stripTrailingZeros().toPlainString();
    }
}
