package yokebar.core.basics.band;

/** The three regions of the International Telecommunication Union, by which band plans differ. */
public enum Region {
    EUROPE_AFRICA("1", "Region 1: Europe, Africa, Middle East, northern Asia"),
    AMERICAS("2", "Region 2: the Americas"),
    ASIA_PACIFIC("3", "Region 3: southern Asia, Oceania");

    private final String digit;
    private final String words;

    Region(String digit, String words) {
        this.digit = digit;
        this.words = words;
    }

    /** {@code 1}, {@code 2} or {@code 3}. */
    public String digit() {
        return digit;
    }

    public String words() {
        return words;
    }
}
