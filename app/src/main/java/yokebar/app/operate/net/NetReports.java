package yokebar.app.operate.net;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.app.log.store.ContactLog;
import yokebar.app.log.store.EntityFields;
import yokebar.app.operate.net.mark.NetWords;
import yokebar.core.log.adif.AdiWriter;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.log.exchange.CsvCell;
import yokebar.core.operate.net.MarkWords;
import yokebar.core.operate.net.NetReport;

/** Reports of sessions, and their check-ins as tables and contacts. */
@Service
class NetReports {
    private static final CSVFormat CSV = CSVFormat.RFC4180
            .builder()
            .setHeader("time", "call", "name", "via", "marks", "sent", "received", "earlier sessions", "note")
            .get();

    private final NetSheets sheets;
    private final NetChannel channel;
    private final NetWords words;
    private final NetContacts made;
    private final ContactLog log;
    private final EntityFields entities;
    private final Clock clock;

    NetReports(
            NetSheets sheets,
            NetChannel channel,
            NetWords words,
            NetContacts made,
            ContactLog log,
            EntityFields entities,
            Clock clock) {
        this.sheets = sheets;
        this.channel = channel;
        this.words = words;
        this.made = made;
        this.log = log;
        this.entities = entities;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public NetReport of(long sessionId) {
        SheetView sheet = sheets.sheet(sessionId);
        return NetReport.of(new NetReport.Session(
                sheet.net(),
                sheet.ownCall(),
                channel.of(sheets.session(sessionId)).words(),
                sheet.startedAt(),
                sheet.endedAt(),
                words.now(),
                sheet.checkIns().stream()
                        .map(row -> new NetReport.Row(
                                shown(row), row.name(), row.via(), row.marks(), row.note(), row.at(), row.sessions()))
                        .toList(),
                sheet.missing()));
    }

    /** The contacts of a session, those that are not logged as they would be. What is only a part of a call is left out. */
    @Transactional(readOnly = true)
    public String adi(long sessionId) {
        NetSessionRow session = sheets.session(sessionId);
        NetChannel.At at = channel.of(session);
        List<CheckInRow> rows = sheets.worked(session).stream()
                .filter(row -> row.callSign != null)
                .toList();
        Map<Long, LoggedContact> logged = log.find(
                rows.stream().map(row -> row.contactId).filter(Objects::nonNull).toList());
        StringBuilder out = new StringBuilder();
        AdiWriter adi = new AdiWriter(out);
        try {
            adi.header(clock.instant());
            for (CheckInRow row : rows) {
                LoggedContact contact = logged.get(row.contactId);
                adi.record(contact == null ? made.of(session, row, at).record() : entities.complete(contact.contact()));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    @Transactional(readOnly = true)
    public String csv(long sessionId) {
        MarkWords marks = words.now();
        StringBuilder out = new StringBuilder();
        try (CSVPrinter csv = new CSVPrinter(out, CSV)) {
            for (SheetView.CheckInView row : sheets.sheet(sessionId).checkIns()) {
                csv.printRecord(
                        row.at(),
                        shown(row),
                        cell(row.name()),
                        cell(row.via()),
                        row.marks().stream().sorted().map(marks::of).collect(Collectors.joining(" ")),
                        cell(row.sent()),
                        cell(row.received()),
                        row.sessions(),
                        cell(row.note()));
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    private static String shown(SheetView.CheckInView row) {
        return row.call() == null ? row.heard() : row.call();
    }

    private static @Nullable String cell(@Nullable String text) {
        return CsvCell.safe(text);
    }
}
