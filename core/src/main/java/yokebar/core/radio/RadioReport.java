package yokebar.core.radio;

/** One thing a radio said, whatever dialect it speaks. */
public sealed interface RadioReport {

    /** A VFO is on a frequency, Hz. */
    record Frequency(Vfo vfo, long hz) implements RadioReport {}

    /** It receives on this VFO. */
    record Receiving(Vfo vfo) implements RadioReport {}

    record ModeIs(RadioMode mode) implements RadioReport {}

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

    /** It did not take a command. */
    record Refused(String what) implements RadioReport {}

    /** Bytes that are no sentence of the dialect: a sign of a wrong speed or the wrong dialect. */
    record Garbage(int bytes) implements RadioReport {}
}
