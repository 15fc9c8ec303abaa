package yokebar.app.operate.net;

import java.util.List;
import org.springframework.stereotype.Service;
import yokebar.app.sources.intake.TypedContacts;
import yokebar.app.station.callbook.Callbook;
import yokebar.app.station.position.ContactSetting;
import yokebar.app.station.position.Positions;
import yokebar.app.station.reference.ReferenceData;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.channel.Channel;
import yokebar.core.basics.mode.Mode;
import yokebar.core.basics.mode.Modes;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.AdifFrequency;
import yokebar.core.log.contact.AdifTime;
import yokebar.core.log.contact.Provenance;
import yokebar.core.log.contact.Source;
import yokebar.core.log.index.LogFields;

/** Makes the contact of a check-in: what was typed, where it was, what the position, the call and the callbook add. */
@Service
class NetContacts {
    private final Positions positions;
    private final ReferenceData reference;
    private final Callbook callbook;

    NetContacts(Positions positions, ReferenceData reference, Callbook callbook) {
        this.positions = positions;
        this.reference = reference;
        this.callbook = callbook;
    }

    /** @param now where the session is, for what the check-in does not know of its own moment */
    TypedContacts.Typed of(NetSessionRow session, CheckInRow row, NetChannel.At now) {
        AdifFields typed = typed(session, row, now);
        AdifFields placed = reference.placed(typed, row.at);
        ContactSetting setting = positions.settingAt(session.positionId);
        AdifFields complete = setting.complete(placed);
        Callbook.Completed known = callbook.complete(complete);
        Provenance provenance = Provenance.of(Source.OPERATOR)
                .with(added(placed, typed), Source.ENTITY)
                .with(added(complete, placed), Source.STATION)
                .with(known.added(), Source.CALLBOOK);
        return new TypedContacts.Typed(
                known.record(), row.heard + " in " + session.netName, setting.placeId(), provenance);
    }

    private static List<String> added(AdifFields after, AdifFields before) {
        return after.names().stream().filter(name -> before.get(name) == null).toList();
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
