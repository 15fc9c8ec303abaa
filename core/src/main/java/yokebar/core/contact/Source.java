package yokebar.core.contact;

/** Where a field's value came from. Declared from the most to the least trusted: an earlier one wins a conflict. */
public enum Source {
    /** Typed or edited by a person. */
    OPERATOR,
    /** Read from the radio. */
    RADIO,
    /** The record of the program the contact was made with. */
    PROGRAM,
    /** Any other file. */
    FILE,
    CALLBOOK;

    public boolean winsOver(Source other) {
        return compareTo(other) < 0;
    }
}
