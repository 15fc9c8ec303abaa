package yokebar.core.sources.radio;

import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** The modes radios can be switched to. What is logged for them says {@link ModeMapping}. */
public enum RadioMode {
    LSB("LSB"),
    USB("USB"),
    CW("CW"),
    /** CW received on the other side of the carrier. */
    CW_REVERSE("CW-R"),
    AM("AM"),
    FM("FM"),
    /** Frequency-shift keying by the radio itself. */
    RTTY("RTTY"),
    RTTY_REVERSE("RTTY-R"),
    /** Lower sideband with the sound of a program. */
    DATA_L("DATA-L"),
    /** Upper sideband with the sound of a program. */
    DATA_U("DATA-U"),
    /** FM with the sound of a program. */
    DATA_FM("DATA-FM");

    private final String label;

    RadioMode(String label) {
        this.label = label;
    }

    /** As it is shown, such as {@code DATA-U}. */
    public String label() {
        return label;
    }

    /** The same with the sound of a program, where there is such a mode. */
    public RadioMode withData() {
        return switch (this) {
            case LSB -> DATA_L;
            case USB -> DATA_U;
            case FM -> DATA_FM;
            default -> this;
        };
    }

    /** The same without the sound of a program. */
    public RadioMode withoutData() {
        return switch (this) {
            case DATA_L -> LSB;
            case DATA_U -> USB;
            case DATA_FM -> FM;
            default -> this;
        };
    }

    /** The mode with a label in any case, or null when there is none. */
    public static @Nullable RadioMode labelled(String label) {
        String tidy = label.strip().toUpperCase(Locale.ROOT);
        for (RadioMode mode : values()) {
            if (mode.label.equals(tidy)) {
                return mode;
            }
        }
        return null;
    }
}
