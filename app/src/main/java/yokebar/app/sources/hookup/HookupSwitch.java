package yokebar.app.sources.hookup;

import jakarta.persistence.Entity;
import jakarta.persistence.Id;

/** Whether the operator wants a coupling connected. */
@Entity
class HookupSwitch {
    @Id
    String hookupId = "";

    boolean connected;
}
