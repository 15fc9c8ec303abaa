package yokebar.app.operate.net;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import yokebar.core.log.exchange.CsvCell;
import yokebar.core.operate.net.CheckInMark;
import yokebar.core.operate.net.NetReport;

/** Reports of sessions, as text and as a table. */
@Service
class NetReports {
    private static final CSVFormat CSV = CSVFormat.RFC4180
            .builder()
            .setHeader("time", "call", "name", "via", "marks", "sent", "received", "earlier sessions", "note")
            .get();

    private final NetSheets sheets;
    private final NetChannel channel;

    NetReports(NetSheets sheets, NetChannel channel) {
        this.sheets = sheets;
        this.channel = channel;
    }

    @Transactional(readOnly = true)
    public String text(long sessionId) {
        SheetView sheet = sheets.sheet(sessionId);
        return NetReport.text(new NetReport.Session(
                sheet.net(),
                sheet.ownCall(),
                channel.of(sheets.session(sessionId)).words(),
                sheet.startedAt(),
                sheet.endedAt(),
                sheet.checkIns().stream()
                        .map(row -> new NetReport.Row(
                                shown(row), row.name(), row.via(), row.marks(), row.note(), row.at(), row.sessions()))
                        .toList(),
                sheet.missing()));
    }

    @Transactional(readOnly = true)
    public String csv(long sessionId) {
        StringBuilder out = new StringBuilder();
        try (CSVPrinter csv = new CSVPrinter(out, CSV)) {
            for (SheetView.CheckInView row : sheets.sheet(sessionId).checkIns()) {
                csv.printRecord(
                        row.at(),
                        shown(row),
                        cell(row.name()),
                        cell(row.via()),
                        row.marks().stream().sorted().map(CheckInMark::word).collect(Collectors.joining(" ")),
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
