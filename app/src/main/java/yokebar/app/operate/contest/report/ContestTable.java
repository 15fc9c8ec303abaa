package yokebar.app.operate.contest.report;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.List;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import yokebar.core.log.contact.Contact;
import yokebar.core.log.exchange.CsvCell;
import yokebar.core.operate.contest.Verdict;

/** The contacts of a contest as a table for a spreadsheet. */
public final class ContestTable {
    private static final CSVFormat CSV = CSVFormat.RFC4180
            .builder()
            .setHeader(
                    "time",
                    "call",
                    "band",
                    "frequency (Hz)",
                    "mode",
                    "sent",
                    "received",
                    "points",
                    "multipliers",
                    "bonus",
                    "why it does not count")
            .get();

    private ContestTable() {}

    /**
     * One contact.
     *
     * @param sent the exchange, word by word
     * @param received likewise
     */
    public record Line(Contact contact, String sent, String received, Verdict verdict) {}

    public static String csv(List<Line> lines) {
        StringBuilder out = new StringBuilder();
        try (CSVPrinter csv = new CSVPrinter(out, CSV)) {
            for (Line line : lines) {
                Contact contact = line.contact();
                csv.printRecord(
                        contact.start(),
                        contact.call().text(),
                        contact.band().adifName(),
                        contact.frequencyHz(),
                        contact.mode().label(),
                        CsvCell.safe(line.sent()),
                        CsvCell.safe(line.received()),
                        line.verdict().points(),
                        String.join(" ", line.verdict().multipliers()),
                        line.verdict().bonus(),
                        line.verdict().outcome().reason());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }
}
