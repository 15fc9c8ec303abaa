package yokebar.app.services.delivery.handover;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import yokebar.app.services.delivery.adapter.ServiceAdapter;
import yokebar.core.log.adif.AdiWriter;

/** A batch as an ADI file. */
public final class AdiText {
    private AdiText() {}

    public static byte[] of(List<ServiceAdapter.Parcel> parcels, Instant now) {
        StringBuilder text = new StringBuilder();
        AdiWriter writer = new AdiWriter(text);
        try {
            writer.header(now);
            for (ServiceAdapter.Parcel parcel : parcels) {
                writer.record(parcel.fields());
            }
        } catch (IOException e) {
            throw new IllegalStateException("writing to memory does not fail", e);
        }
        return text.toString().getBytes(StandardCharsets.UTF_8);
    }
}
