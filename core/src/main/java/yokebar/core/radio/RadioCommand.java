package yokebar.core.radio;

/** One thing to ask of a radio, whatever dialect it speaks. */
public sealed interface RadioCommand {

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

    /** Send a text in Morse code with the radio's own keyer. */
    record SendText(String text) implements RadioCommand {}
}
