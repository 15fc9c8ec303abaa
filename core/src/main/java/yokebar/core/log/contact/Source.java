package yokebar.core.log.contact;

/**
 * Where a field's value came from. Declared from the most to the least trusted: an earlier one wins a conflict, so that the
 * order in which records of one contact arrive does not matter.
 */
public enum Source {
    /** Typed or edited by a person. */
    OPERATOR("the operator", true),
    /** Read from the radio. */
    RADIO("the radio", false),
    /** A program's own record, over the digital link. */
    LINK("a program's link", true),
    /** A program's own record, over an ADIF stream. */
    STREAM("a program's stream", true),
    /** A program's own record, as an ADIF datagram. */
    DATAGRAM("a program's datagram", true),
    /** A program's own record, in the file it writes. */
    FOLLOWED("a followed file", true),
    /** Any other file. */
    FILE("an imported file", false),
    CALLBOOK("the callbook", false),
    /** What the station's position is set to: operator, place, rig, power. */
    STATION("the position", false),
    /** What the call itself tells: entity, zones. */
    ENTITY("the entity list", false);

    private final String words;
    private final boolean corrects;

    Source(String words, boolean corrects) {
        this.words = words;
        this.corrects = corrects;
    }

    public boolean winsOver(Source other) {
        return compareTo(other) < 0;
    }

    /** Whether what it says later replaces what it said before: a program corrects its record, an older file does not. */
    public boolean corrects() {
        return corrects;
    }

    /** Whether it is the record of the program that the contact was made with. */
    public boolean program() {
        return this == LINK || this == STREAM || this == DATAGRAM || this == FOLLOWED;
    }

    /** What it is called in a sentence, such as {@code the radio}. */
    public String words() {
        return words;
    }
}
