package yokebar.app.operate.net;

import org.jspecify.annotations.Nullable;
import yokebar.core.log.contact.PropagationMode;

/**
 * A net as it is typed in.
 *
 * @param usualTimes when it meets, in words
 * @param frequency as people write it, in kHz or MHz; empty when it is announced each time
 * @param mode such as {@code FM}; empty when it differs
 * @param travels how its contacts travel; null when the known channels decide
 * @param netControl whether this station leads it; else only the check-ins that are marked as worked become contacts
 * @param logs whether check-ins become contacts
 * @param identifyMinutes after how many minutes the net sheet reminds of the own call, 1 to 60
 */
record NetDraft(
        @Nullable String name,
        @Nullable String usualTimes,
        @Nullable String frequency,
        @Nullable String mode,
        @Nullable PropagationMode travels,
        boolean netControl,
        boolean logs,
        int identifyMinutes) {}
