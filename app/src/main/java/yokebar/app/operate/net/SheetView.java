package yokebar.app.operate.net;

import java.time.Instant;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import yokebar.app.operate.net.mark.MarkWordsView;
import yokebar.core.operate.net.CheckInMark;

/**
 * The net sheet: a session and who has checked in.
 *
 * @param netId null when the net was deleted since
 * @param net the name of the net when the session began
 * @param netControl whether this station leads it; else only the check-ins that are marked as worked become contacts
 * @param logs whether its check-ins become contacts
 * @param ownCall the call it is led or joined with; null while the station has none
 * @param startedAt when it began, UTC
 * @param endedAt null while it runs
 * @param frequencyHz where it is now; null when neither a radio nor the net says
 * @param fromRadio whether the radio of the position reports that
 * @param way how its contacts travel, in words, such as {@code repeater Pico}
 * @param round from 1
 * @param turnId the check-in whose turn it is; null while it is nobody's
 * @param nextId the check-in whose turn is next; null when all have spoken in this round
 * @param identifiedAt when the own call was last given, UTC
 * @param identifyMinutes after how many minutes it has to be given again
 * @param changeId to take its contacts back with; null while none are logged
 * @param words what is typed for what a station says of itself
 * @param checkIns in the order of the list
 * @param missing regulars who have not checked in
 */
record SheetView(
        long id,
        @Nullable Long netId,
        String net,
        boolean netControl,
        boolean logs,
        @Nullable String ownCall,
        Instant startedAt,
        @Nullable Instant endedAt,
        @Nullable Long frequencyHz,
        boolean fromRadio,
        @Nullable String mode,
        String way,
        int round,
        @Nullable Long turnId,
        @Nullable Long nextId,
        Instant identifiedAt,
        int identifyMinutes,
        @Nullable Long changeId,
        MarkWordsView words,
        List<CheckInView> checkIns,
        List<String> missing) {

    /**
     * A check-in.
     *
     * @param heard what was typed; a part of a call, or a name, while the call is not known
     * @param call null while it is not known
     * @param place its town, or its country; null when not known
     * @param via the station that relays it; null when it is heard directly
     * @param marks what it says of itself
     * @param spoken whether it had its turn in this round
     * @param skipped whether it was passed over in this round and comes after the others
     * @param sessions in how many earlier sessions of the net it was
     * @param worked whether it is marked as worked, in a net that another station leads
     * @param contacts contacts with it in the log
     * @param contactId the contact it was logged as; null when it is not in the log
     */
    record CheckInView(
            long id,
            String heard,
            @Nullable String call,
            @Nullable String name,
            @Nullable String place,
            @Nullable String via,
            Set<CheckInMark> marks,
            @Nullable String sent,
            @Nullable String received,
            @Nullable String note,
            Instant at,
            boolean spoken,
            boolean skipped,
            int sessions,
            boolean worked,
            int contacts,
            @Nullable Long contactId) {}
}
