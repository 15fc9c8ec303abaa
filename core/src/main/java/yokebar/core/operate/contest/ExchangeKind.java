package yokebar.core.operate.contest;

import java.util.Locale;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;

/** What a piece of an exchange looks like. */
public enum ExchangeKind {
    /** Readability, strength and, in CW, tone; N stands for nine. */
    REPORT("[1-5][1-9N][1-9N]?", "RST_RCVD", 3),
    /** The contacts of a station counted from 1. */
    SERIAL("\\d{1,6}", "SRX", 4),
    CQ_ZONE("0?[1-9]|[123]\\d|40", "CQZ", 2),
    ITU_ZONE("0?[1-9]|[1-8]\\d|90", "ITUZ", 2),
    STATE("[A-Z0-9]{1,3}", "STATE", 3),
    LOCATOR("[A-R]{2}\\d{2}([A-X]{2}(\\d{2})?)?", "GRIDSQUARE", 6),
    NUMBER("\\d{1,6}", null, 4),
    NAME("[A-Z][A-Z.-]{0,19}", "NAME", 10),
    WORD("[A-Z0-9][A-Z0-9/.-]{0,19}", null, 6);

    private final Pattern shape;
    private final @Nullable String adifField;
    private final int width;

    ExchangeKind(String shape, @Nullable String adifField, int width) {
        this.shape = Pattern.compile(shape);
        this.adifField = adifField;
        this.width = width;
    }

    /** The kind of a name such as {@code cq zone}, or null. */
    public static @Nullable ExchangeKind named(String name) {
        for (ExchangeKind kind : values()) {
            if (kind.written().equals(name)) {
                return kind;
            }
        }
        return null;
    }

    /** As definitions write it. */
    public String written() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }

    /** As people write it. */
    public String words() {
        return switch (this) {
            case CQ_ZONE -> "CQ zone";
            case ITU_ZONE -> "ITU zone";
            default -> written();
        };
    }

    /** @param word in capitals */
    boolean takes(String word) {
        return shape.matcher(word).matches();
    }

    /** The ADIF field that says the same of any contact, or null. */
    public @Nullable String adifField() {
        return adifField;
    }

    /** Whether an operator can say it beforehand; reports are heard and serials counted. */
    public boolean isGiven() {
        return this != REPORT && this != SERIAL;
    }

    /** Whether it tells who the other station is or where, which is so outside of the contest, too. */
    public boolean saysWhoOrWhere() {
        return this == CQ_ZONE || this == ITU_ZONE || this == STATE || this == LOCATOR || this == NAME;
    }

    /** The usual width in a line of the Cabrillo log, characters. */
    int width() {
        return width;
    }

    /** As it counts: zones and numbers without zeros in front, nine for N in reports. */
    String tidy(String word) {
        return switch (this) {
            case SERIAL, NUMBER, CQ_ZONE, ITU_ZONE -> word.replaceFirst("^0+(?=\\d)", "");
            case REPORT -> word.replace('N', '9');
            case STATE, LOCATOR, NAME, WORD -> word;
        };
    }
}
