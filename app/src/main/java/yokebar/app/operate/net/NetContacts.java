package yokebar.app.operate.net;

import org.springframework.stereotype.Service;
import yokebar.app.operate.entry.EntryCompletion;
import yokebar.app.sources.intake.TypedContacts;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.channel.Channel;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.Modes;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.AdifFrequency;
import yokebar.core.log.contact.AdifTime;
import yokebar.core.log.index.LogFields;

/** Makes the contact of a check-in: what was typed, where it was, what the position, the call and the callbook add. */
@Service
class NetContacts {
    private final EntryCompletion completion;

    NetContacts(EntryCompletion completion) {
        this.completion = completion;
    }

    /** @param now where the session is, for what the check-in does not know of its own moment */
    TypedContacts.Typed of(NetSessionRow session, CheckInRow row, NetChannel.At now) {
        return completion.complete(
                typed(session, row, now), row.at, session.positionId, row.heard + " in " + session.netName);
    }

    private static AdifFields typed(NetSessionRow session, CheckInRow row, NetChannel.At now) {
        AdifFields.Builder fields = new AdifFields.Builder();
        row.contactFields().forEach(fields::put);
        fields.put("QSO_DATE", AdifTime.date(row.at)).put("TIME_ON", AdifTime.time(row.at, true));
        Long hz = row.frequencyHz == null ? now.frequencyHz() : row.frequencyHz;
        Band band = hz == null ? null : Band.of(hz);
        if (hz != null && band != null) {
            fields.put("BAND", band.adifName()).put("FREQ", AdifFrequency.mhz(hz));
        }
        Mode mode = Modes.read(String.valueOf(row.mode == null ? now.mode() : row.mode), null);
        if (mode != null) {
            fields.put("MODE", mode.name()).put("SUBMODE", mode.submode());
        }
        if (now.travels() != null) {
            fields.put("PROP_MODE", now.travels().name());
        }
        Channel through = now.channel();
        fields.put("SAT_NAME", through == null ? null : through.satellite());
        fields.put("TX_PWR", row.powerW == null ? null : row.powerW.toString());
        fields.put("STATION_CALLSIGN", session.ownCall);
        fields.put(LogFields.NET, session.netName);
        return fields.build();
    }
}
