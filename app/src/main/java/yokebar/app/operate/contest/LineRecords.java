package yokebar.app.operate.contest;

import java.time.Instant;
import java.util.Map;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import yokebar.app.operate.contest.channel.Channel;
import yokebar.app.operate.contest.line.WorthView;
import yokebar.app.station.reference.ReferenceData;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.AdifFrequency;
import yokebar.core.log.contact.AdifTime;
import yokebar.core.log.contact.ContactAdif;
import yokebar.core.log.contact.Reading;
import yokebar.core.operate.contest.ContestDefinition;
import yokebar.core.operate.contest.ContestEntry;
import yokebar.core.operate.contest.Verdict;
import yokebar.core.operate.contest.entry.ExchangeRecord;

/** What would be logged in a contest, and what it would be worth. */
@Component
class LineRecords {
    private final ReferenceData reference;

    LineRecords(ReferenceData reference) {
        this.reference = reference;
    }

    /**
     * A contact that may be logged.
     *
     * @param at when it is made
     * @param sent by the names of the exchange's fields
     */
    record Possible(
            BookRow book,
            CountedBook counted,
            ContestEntry entry,
            Channel channel,
            Instant at,
            Map<String, String> sent) {}

    /** As it would be logged. */
    AdifFields record(Possible contact) {
        ContestEntry entry = contact.entry();
        Channel channel = contact.channel();
        ContestDefinition definition = contact.counted().definition();
        AdifFields.Builder fields = new AdifFields.Builder();
        fields.put("CALL", String.valueOf(entry.call()));
        fields.put("QSO_DATE", AdifTime.date(contact.at())).put("TIME_ON", AdifTime.time(contact.at(), true));
        if (channel.band() != null && channel.mode() != null) {
            fields.put("BAND", channel.band().adifName());
            fields.put("FREQ", channel.frequencyHz() == null ? null : AdifFrequency.mhz(channel.frequencyHz()));
            fields.put("MODE", channel.mode().name())
                    .put("SUBMODE", channel.mode().submode());
        }
        fields.put("STATION_CALLSIGN", contact.book().ownCall).put("CONTEST_ID", definition.cabrilloName());
        ExchangeRecord exchange = new ExchangeRecord(definition.exchange());
        exchange.putSent(contact.sent(), fields);
        exchange.putReceived(entry.received(), fields);
        return fields.build();
    }

    /** The same with entity and zones of the call; null while the call, the frequency or the mode is not known. */
    @Nullable
    AdifFields placed(Possible contact) {
        Channel channel = contact.channel();
        return contact.entry().call() == null || channel.band() == null || channel.mode() == null
                ? null
                : reference.placed(record(contact), contact.at());
    }

    static @Nullable WorthView worth(CountedBook counted, @Nullable AdifFields placed) {
        Verdict verdict = verdict(counted, placed);
        return verdict == null ? null : WorthView.of(verdict);
    }

    static @Nullable Verdict verdict(CountedBook counted, @Nullable AdifFields placed) {
        return placed != null && ContactAdif.read(placed, null) instanceof Reading.Readable readable
                ? counted.worth(readable.contact())
                : null;
    }
}
