package yokebar.app.sources.digital;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A program read a station.
 *
 * @param program its coupling
 * @param decodeId what it is told to answer it
 * @param frequencyHz where it was, Hz
 * @param mode as ADIF names it; null when the program does not say
 * @param locator null when it was not sent
 * @param calling whether it called for anybody
 */
public record DecodeHeard(
        String program,
        String decodeId,
        Instant at,
        int snrDb,
        long frequencyHz,
        @Nullable String mode,
        String call,
        @Nullable String locator,
        boolean calling,
        String text) {}
