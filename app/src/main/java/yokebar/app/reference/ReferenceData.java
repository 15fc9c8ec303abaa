package yokebar.app.reference;

import org.springframework.stereotype.Service;
import yokebar.core.entity.Entities;

/** The reference data in use now: what ships with the application, or a newer edition that was taken in. */
@Service
public class ReferenceData {
    private volatile Entities entities = Entities.shipped();

    public Entities entities() {
        return entities;
    }
}
