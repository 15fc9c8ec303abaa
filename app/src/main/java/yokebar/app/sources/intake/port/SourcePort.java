package yokebar.app.sources.intake.port;

import yokebar.app.sources.hookup.Hookup;
import yokebar.app.sources.intake.source.IntakeSource;

/** A port of this computer by which records arrive. */
public interface SourcePort extends Hookup {
    IntakeSource source();

    /** The port listened on now, or the one asked for while there is none. */
    int currentPort();

    /** Takes it down; what has arrived is stored first. */
    void stop();
}
