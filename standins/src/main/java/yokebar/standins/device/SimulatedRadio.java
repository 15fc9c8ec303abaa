package yokebar.standins.device;

import java.io.IOException;
import java.util.Map;

/** A radio of the stand-ins, seen from Backstage. */
public interface SimulatedRadio {
    RadioFront front();

    /** Without power it stays connected and says nothing. */
    void setPowered(boolean on);

    /** As with the wrong speed: what it says is noise. */
    void setGarbled(boolean on);

    void setPlugged(boolean in) throws IOException;

    /** For the eye. */
    Map<String, Object> state();
}
