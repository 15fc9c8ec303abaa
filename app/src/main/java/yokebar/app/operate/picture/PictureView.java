package yokebar.app.operate.picture;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A received picture as a page shows it.
 *
 * @param fileName of the file it was received as
 * @param width pixels
 * @param height pixels
 * @param receivedAt when its file was complete, UTC
 * @param frequencyHz the radio's frequency then; null when not known
 * @param mode the radio's mode then, as the log has it
 * @param contactId the contact it belongs to; null for none
 * @param call of that contact
 * @param waitsFor the call of the contact under way that it is attached to once that is logged
 */
record PictureView(
        long id,
        String fileName,
        int width,
        int height,
        Instant receivedAt,
        @Nullable Long frequencyHz,
        @Nullable String mode,
        PictureState state,
        @Nullable Long contactId,
        @Nullable String call,
        @Nullable String waitsFor,
        String note) {

    static PictureView of(ReceivedPictureRow row) {
        boolean attached = row.state == PictureState.ATTACHED;
        return new PictureView(
                row.number(),
                row.fileName(),
                row.width,
                row.height,
                row.receivedAt,
                row.frequencyHz,
                row.mode,
                row.state,
                attached ? row.contactId : null,
                attached ? row.callSign : null,
                row.waitsFor,
                row.note);
    }
}
