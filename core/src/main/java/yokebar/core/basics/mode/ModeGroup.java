package yokebar.core.basics.mode;

/** The coarse kinds that confirmations and awards tell apart. Radioteletype counts as digital. */
public enum ModeGroup {
    PHONE,
    CW,
    DIGITAL
}
