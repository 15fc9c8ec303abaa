package yokebar.app.operate.contest.channel;

import org.jspecify.annotations.Nullable;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.operate.contest.ContestMode;

/**
 * Where a line would be logged.
 *
 * @param frequencyHz where we transmit; null when neither a radio nor the line says
 * @param band null likewise
 * @param mode null likewise
 * @param fromRadio whether the radio says so
 */
public record Channel(@Nullable Long frequencyHz, @Nullable Band band, @Nullable Mode mode, boolean fromRadio) {

    /** In radioteletype all characters take the same time: nothing is sent short. */
    public boolean isRadioteletype() {
        return mode != null && ContestMode.of(mode) == ContestMode.RTTY;
    }

    /** 599 by key and in digital modes, 59 by voice. */
    public String usualReport() {
        return mode != null && mode.group() == ModeGroup.PHONE ? "59" : "599";
    }
}
