package yokebar.app.operate.entry;

import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import yokebar.app.sources.intake.TypedContacts;
import yokebar.app.station.callbook.Callbook;
import yokebar.app.station.position.ContactSetting;
import yokebar.app.station.position.Positions;
import yokebar.app.station.reference.ReferenceData;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.Provenance;
import yokebar.core.log.contact.Source;

/** Completes a contact that was typed on a net sheet or a contest line, and notes which field came from where. */
@Service
public class EntryCompletion {
    private final Positions positions;
    private final ReferenceData reference;
    private final Callbook callbook;

    EntryCompletion(Positions positions, ReferenceData reference, Callbook callbook) {
        this.positions = positions;
        this.reference = reference;
        this.callbook = callbook;
    }

    /**
     * @param at when it was made, UTC
     * @param line what was typed, for the intake journal
     */
    public TypedContacts.Typed complete(AdifFields typed, Instant at, @Nullable Long positionId, String line) {
        AdifFields placed = reference.placed(typed, at);
        ContactSetting setting = positions.settingAt(positionId);
        AdifFields complete = setting.complete(placed);
        Callbook.Completed known = callbook.complete(complete);
        Provenance provenance = Provenance.of(Source.OPERATOR)
                .with(added(placed, typed), Source.ENTITY)
                .with(added(complete, placed), Source.STATION)
                .with(known.added(), Source.CALLBOOK);
        return new TypedContacts.Typed(known.record(), line, setting.placeId(), provenance);
    }

    private static List<String> added(AdifFields after, AdifFields before) {
        return after.names().stream().filter(name -> before.get(name) == null).toList();
    }
}
