package yokebar.core.operate.contest.sending;

/** Where a text stands: at a step of a contact, or on a key of its own. */
public enum TextSlot {
    /** Calls all stations, or, when searching, one. */
    CALL,
    /** Gives the exchange. */
    EXCHANGE,
    /** Asks for what is missing. */
    AGAIN,
    /** Ends the contact. When searching there is nothing to be said then. */
    THANKS,
    F1,
    F2,
    F3,
    F4,
    F5,
    F6,
    F7,
    F8,
    F9,
    F10,
    F11,
    F12;

    /** Whether it belongs to a step of a contact, so that there always is one. */
    public boolean isStep() {
        return this == CALL || this == EXCHANGE || this == AGAIN || this == THANKS;
    }
}
