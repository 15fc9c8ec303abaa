package yokebar.core.sources.radio;

/** One thing to ask of a radio, whatever dialect it speaks. */
public sealed interface RadioCommand {
    /** Radios round a frequency to the step of their dial, Hz. */
    long DIAL_STEP_HZ = 100;

    /** Whether a radio that reports this state has done it; also when its reports cannot show it. */
    default boolean showsIn(RadioState state) {
        if (this instanceof Tune c) {
            Long hz = state.of(c.vfo());
            return hz != null && Math.abs(hz - c.hz()) < DIAL_STEP_HZ;
        }
        if (this instanceof SetMode c) {
            return c.mode() == state.mode();
        }
        if (this instanceof SetSplit c) {
            return Boolean.valueOf(c.on()).equals(state.split());
        }
        if (this instanceof Receive c) {
            return c.vfo() == state.vfo();
        }
        if (this instanceof SetPower c) {
            return Integer.valueOf(c.watts()).equals(state.powerW());
        }
        return true;
    }

    /** Tune a VFO, Hz. */
    record Tune(Vfo vfo, long hz) implements RadioCommand {}

    record SetMode(RadioMode mode) implements RadioCommand {}

    record SetSplit(boolean on) implements RadioCommand {}

    /** Receive on this VFO. */
    record Receive(Vfo vfo) implements RadioCommand {}

    /** Key it, or not. */
    record Key(boolean on) implements RadioCommand {}

    /** Set the power, W. */
    record SetPower(int watts) implements RadioCommand {}

    /**
     * Set how fast the radio's own keyer sends.
     *
     * @param wordsPerMinute words of the length of PARIS a minute, 6 to 48
     */
    record SetKeyerSpeed(int wordsPerMinute) implements RadioCommand {
        public static final int SLOWEST = 6;
        public static final int FASTEST = 48;
    }

    /** Send a text in Morse code with the radio's own keyer. */
    record SendText(String text) implements RadioCommand {}
}
