package yokebar.app.log.search;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.doAnswer;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import yokebar.app.log.Seals;
import yokebar.app.log.SealsChanged;
import yokebar.app.log.change.LogChanges;
import yokebar.app.log.store.ContactLog;
import yokebar.app.station.reference.ReferenceData;
import yokebar.core.basics.band.Band;
import yokebar.core.basics.entity.Entities;
import yokebar.core.basics.mode.ModeGroup;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.contact.ContactAdif;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.log.contact.Provenance;
import yokebar.core.log.contact.Reading;
import yokebar.core.log.contact.Source;
import yokebar.core.log.index.Entry;
import yokebar.core.log.index.LogIndex;
import yokebar.core.log.tally.CreditKind;
import yokebar.core.log.tally.Proofs;
import yokebar.core.log.tally.Worked;

/** What was worked before is counted once, whatever happened while Yokebar was down and while it counted. */
class LogSearchTest {
    private static final int COUNTERSIGN = 1;

    private final LogLoad load = mock(LogLoad.class);
    private final IndexKeeping keeping = mock(IndexKeeping.class);
    private final ContactLog log = mock(ContactLog.class);
    private final LogChanges changes = mock(LogChanges.class);
    private final Seals seals = mock(Seals.class);
    private final ReferenceData reference = mock(ReferenceData.class);
    private final LogSearch search = new LogSearch(load, keeping, log, changes, seals, reference);
    private String state = "ACCEPTED";

    @AfterEach
    void stop() {
        search.stop();
    }

    private static LoggedContact contact() {
        AdifFields fields = AdifFields.of(
                "STATION_CALLSIGN",
                "CU9QYB",
                "CALL",
                "ZP5QXA",
                "QSO_DATE",
                "20260501",
                "TIME_ON",
                "140700",
                "BAND",
                "20m",
                "MODE",
                "CW");
        Reading.Readable read = (Reading.Readable) ContactAdif.read(fields, null);
        return new LoggedContact(1, read.contact(), Provenance.of(Source.OPERATOR));
    }

    private void startWithAKeptIndexAndOneContactTouchedSince() {
        LogIndex index = new LogIndex();
        index.add(List.of(Entry.of(1, contact().contact(), Entities.shipped())));
        LocalDate edition = Entities.shipped().edition();
        when(reference.entities()).thenReturn(Entities.shipped());
        when(keeping.read()).thenReturn(Optional.of(new IndexKeeping.Kept(index, 3, edition, true)));
        when(changes.touchedSince(anyLong())).thenReturn(List.of(1L));
        when(log.find(List.of(1L))).thenReturn(Map.of(1L, contact()));
        when(log.size()).thenReturn(1L);
        when(seals.services()).thenReturn(Map.of(COUNTERSIGN, "Countersign"));
        doAnswer(call -> {
                    call.<Seals.Receiver>getArgument(1).stands(1, COUNTERSIGN, state);
                    return null;
                })
                .when(seals)
                .forEach(any(), any());
        search.start();
        await().until(search::ready);
    }

    private static Worked.Cell once(int confirmed, Proofs proofs) {
        return new Worked.Cell(Band.M20, ModeGroup.CW, 1, confirmed, proofs);
    }

    private List<Worked.Cell> worked() {
        // Whoever asks the index waits until everything told before is in.
        search.ask(LogIndex::size);
        return search.workedBefore().of(CreditKind.CALL.key("ZP5QXA")).cells();
    }

    @Test
    void aConfirmedContactTouchedSinceTheIndexWasKeptCountsOnce() {
        state = "CONFIRMED";
        startWithAKeptIndexAndOneContactTouchedSince();
        assertThat(worked()).containsExactly(once(1, Proofs.by(COUNTERSIGN)));
    }

    @Test
    void aConfirmationIsCountedWhenItComesAndNoMoreWhenItGoes() {
        startWithAKeptIndexAndOneContactTouchedSince();
        assertThat(worked()).containsExactly(once(0, Proofs.NONE));
        state = "CONFIRMED";
        search.sealed(new SealsChanged(List.of(1L)));
        assertThat(worked()).containsExactly(once(1, Proofs.by(COUNTERSIGN)));
        state = "CHANGED";
        search.sealed(new SealsChanged(List.of(1L)));
        assertThat(worked()).containsExactly(once(0, Proofs.NONE));
    }
}
