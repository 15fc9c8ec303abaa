package yokebar.app.intake;

import yokebar.app.hookup.Hookup;

/** A port of this computer by which records arrive. */
interface SourcePort extends Hookup {
    IntakeSource source();

    /** The port listened on now, or the one asked for while there is none. */
    int currentPort();

    /** Takes it down; what has arrived is stored first. */
    void stop();
}
