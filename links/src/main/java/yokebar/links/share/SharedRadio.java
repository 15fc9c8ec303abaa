package yokebar.links.share;

import yokebar.core.radio.RadioCommand;
import yokebar.core.radio.RadioState;

/** The radio that is offered to other programs. */
public interface SharedRadio {

    /** What it last reported; {@link RadioState#UNKNOWN} while it is not connected. */
    RadioState state();

    void tell(RadioCommand command);
}
