package yokebar.core.basics.band;

/**
 * A piece of a band and what it is for by custom.
 *
 * @param lowHz inclusive
 * @param highHz exclusive
 * @param widestHz the widest signal that belongs there, Hz
 */
public record Segment(long lowHz, long highHz, Use use, int widestHz) {

    /** What a segment is for. */
    public enum Use {
        CW("CW"),
        NARROW("narrow digital"),
        DIGITAL("digital"),
        ALL("phone and all modes"),
        BEACONS("beacons: listen only"),
        FM("FM"),
        REPEATERS_IN("repeater inputs"),
        REPEATERS_OUT("repeater outputs"),
        SATELLITE("satellites");

        private final String words;

        Use(String words) {
            this.words = words;
        }

        /** As a person reads it. */
        public String words() {
            return words;
        }
    }
}
