package yokebar.links.sources.radio;

/** The parts of a radio's state, each reported and growing old by itself. */
public enum StatePart {
    FREQUENCY_A,
    FREQUENCY_B,
    VFO,
    MODE,
    DATA,
    SPLIT,
    TRANSMITTING,
    POWER,
    METER,
    BANDWIDTH
}
