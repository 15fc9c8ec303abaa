package yokebar.app.services.delivery.handover;

import java.math.BigDecimal;
import java.nio.ByteBuffer;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.text.Sha256;
import yokebar.core.log.adif.AdifFields;

/**
 * Tells whether what a service receives of a contact is still what a batch holds. The order of fields, blanks around values and
 * ways to write a number make no difference. The last bits say by which edition of these rules a hash was made; one of another
 * edition cannot be compared, and then nothing is known to have changed.
 */
public final class ContentHash {
    private static final long EDITION = 2;
    private static final long EDITION_BITS = 0xFF_FFFFL;
    private static final Set<String> NUMBERS = Set.of(
            "FREQ",
            "FREQ_RX",
            "TX_PWR",
            "RX_PWR",
            "STX",
            "SRX",
            "DXCC",
            "CQZ",
            "ITUZ",
            "MY_DXCC",
            "MY_CQ_ZONE",
            "MY_ITU_ZONE",
            "AGE",
            "DISTANCE",
            "ANT_AZ",
            "ANT_EL");
    private static final Pattern NUMBER = Pattern.compile("[+-]?\\d{1,20}(?:\\.\\d{0,20})?");
    private static final char BETWEEN = '\u0000';

    private ContentHash() {}

    static long of(AdifFields fields) {
        TreeMap<String, String> sorted = new TreeMap<>();
        fields.forEach((name, value) -> sorted.put(name, NUMBERS.contains(name) ? number(value) : value.strip()));
        StringBuilder text = new StringBuilder();
        sorted.forEach(
                (name, value) -> text.append(name).append(BETWEEN).append(value).append(BETWEEN));
        return ByteBuffer.wrap(Sha256.of(text.toString())).getLong() & ~EDITION_BITS | EDITION;
    }

    /** Whether these fields are known to be others than those of which the hash was made. */
    static boolean differs(@Nullable Long hash, AdifFields fields) {
        return hash != null && comparable(hash) && hash != of(fields);
    }

    /** Whether the hash was made of these fields, as far as that is known. */
    public static boolean isOf(@Nullable Long hash, AdifFields fields) {
        return hash != null && comparable(hash) && hash == of(fields);
    }

    private static boolean comparable(long hash) {
        return (hash & EDITION_BITS) == EDITION;
    }

    private static String number(String value) {
        String tidy = value.strip();
        return NUMBER.matcher(tidy).matches()
                ? new BigDecimal(tidy).stripTrailingZeros().toPlainString()
                : tidy;
    }
}
