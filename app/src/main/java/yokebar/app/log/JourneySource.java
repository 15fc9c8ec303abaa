package yokebar.app.log;

import java.util.List;

/** A feature that knows a part of a contact's journey. */
public interface JourneySource {
    List<JourneyStep> journey(long contactId);
}
