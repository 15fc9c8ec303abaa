package yokebar.core.sources.radio;

import org.jspecify.annotations.Nullable;

/** One thing a radio said, whatever dialect it speaks. */
public sealed interface RadioReport {

    /** A VFO is on a frequency, Hz. */
    record Frequency(Vfo vfo, long hz) implements RadioReport {}

    /** It receives on this VFO. */
    record Receiving(Vfo vfo) implements RadioReport {}

    /** Its mode without the sound of a program; null when it named one this program does not know. */
    record ModeIs(@Nullable RadioMode plain) implements RadioReport {}

    /** Whether the sound of a program is switched to the transmitter. */
    record DataIs(boolean on) implements RadioReport {}

    record SplitIs(boolean on) implements RadioReport {}

    /** It is keyed, or not. */
    record Transmitting(boolean on) implements RadioReport {}

    /** It is set to this power, W. */
    record PowerIs(int watts) implements RadioReport {}

    /** Its meter, 0 to {@link RadioState#METER_FULL}. */
    record Meter(int value) implements RadioReport {}

    /** Width of the receive filter, Hz. */
    record Bandwidth(int hz) implements RadioReport {}

    /** It said which model it is. */
    record Identity(String model) implements RadioReport {}

    /** Bytes that are not a sentence of the dialect: a sign of a wrong speed or the wrong dialect. */
    record Garbage(int bytes) implements RadioReport {}
}
