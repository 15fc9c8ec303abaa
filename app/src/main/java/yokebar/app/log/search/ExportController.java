package yokebar.app.log.search;

import jakarta.servlet.http.HttpServletResponse;
import java.io.BufferedWriter;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import javax.xml.stream.XMLStreamException;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.jspecify.annotations.Nullable;
import org.springdoc.core.annotations.ParameterObject;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.util.HtmlUtils;
import yokebar.app.log.store.ContactLog;
import yokebar.app.log.store.EntityFields;
import yokebar.core.log.adif.AdiWriter;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.adif.AdxWriter;
import yokebar.core.log.contact.LoggedContact;
import yokebar.core.log.exchange.CsvCell;
import yokebar.core.log.index.LogIndex;

/** The whole log, or what a search found in the order it is looked at, as a file; streamed, however long it is. */
@RestController
class ExportController {
    private static final int AT_ONCE = 1000;
    /** How many contacts will come, so that whoever receives them can say how far it is. */
    private static final String COUNT_HEADER = "X-Contacts";

    private static final String USUAL_COLUMNS =
            "QSO_DATE,TIME_ON,CALL,BAND,FREQ,MODE,SUBMODE,RST_SENT,RST_RCVD,NAME,QTH,COUNTRY,GRIDSQUARE,COMMENT";

    private final ContactLog log;
    private final LogSearch search;
    private final EntityFields entities;
    private final Clock clock;

    ExportController(ContactLog log, LogSearch search, EntityFields entities, Clock clock) {
        this.entities = entities;
        this.log = log;
        this.search = search;
        this.clock = clock;
    }

    private interface Records {
        void write(AdifFields fields) throws IOException, XMLStreamException;
    }

    /**
     * The log, or what a search found, as ADI.
     *
     * @param call only calls that begin so
     */
    @GetMapping(value = "/api/contacts.adi", produces = "text/plain;charset=UTF-8")
    void adi(
            @RequestParam(required = false) @Nullable String call,
            @ParameterObject Query query,
            HttpServletResponse response)
            throws IOException, XMLStreamException {
        String text = query.search() == null ? "" : query.search();
        String whole = call == null || call.isBlank() ? text : "call:" + call.strip() + "* " + text;
        long[] ids = ids(new Query(whole, query.sort(), query.descending()).oldestFirst());
        Writer out = begin(response, "text/plain", "contacts.adi", ids.length);
        AdiWriter adi = new AdiWriter(out);
        adi.header(clock.instant(), search.ask(LogIndex::fields));
        write(ids, adi::record);
        out.flush();
    }

    /** The log, or what a search found, as ADX. */
    @GetMapping(value = "/api/contacts.adx", produces = "application/xml;charset=UTF-8")
    void adx(@ParameterObject Query query, HttpServletResponse response) throws IOException, XMLStreamException {
        long[] ids = ids(query.oldestFirst());
        Writer out = begin(response, "application/xml", "contacts.adx", ids.length);
        AdxWriter adx = new AdxWriter(out);
        adx.header(clock.instant(), search.ask(LogIndex::fields));
        write(ids, adx::record);
        adx.end();
        out.flush();
    }

    /**
     * The log, or what a search found, as CSV.
     *
     * @param columns ADIF names; those of the log's usual columns when left out
     */
    @GetMapping(value = "/api/contacts.csv", produces = "text/csv;charset=UTF-8")
    void csv(
            @ParameterObject Query query,
            @RequestParam(defaultValue = USUAL_COLUMNS) List<String> columns,
            HttpServletResponse response)
            throws IOException, XMLStreamException {
        long[] ids = ids(query);
        Writer out = begin(response, "text/csv", "contacts.csv", ids.length);
        CSVPrinter csv = new CSVPrinter(
                out,
                CSVFormat.RFC4180
                        .builder()
                        .setHeader(columns.stream().map(CsvCell::safe).toArray(String[]::new))
                        .get());
        write(
                ids,
                fields -> csv.printRecord(
                        columns.stream().map(fields::get).map(CsvCell::safe).toList()));
        csv.flush();
    }

    /** A page made to be printed by the browser. */
    @GetMapping(value = "/api/log/print", produces = "text/html;charset=UTF-8")
    void print(
            @ParameterObject Query query,
            @RequestParam(defaultValue = USUAL_COLUMNS) List<String> columns,
            HttpServletResponse response)
            throws IOException, XMLStreamException {
        long[] ids = ids(query);
        response.setContentType("text/html;charset=UTF-8");
        Writer out = new BufferedWriter(new OutputStreamWriter(response.getOutputStream(), StandardCharsets.UTF_8));
        out.write("<!doctype html><html lang=\"en\"><meta charset=\"utf-8\"><title>Log</title><style>"
                + "body{font:11px sans-serif}table{border-collapse:collapse;width:100%}thead{display:table-header-group}"
                + "th,td{padding:2px 6px;border-bottom:1px solid #bbb;text-align:left}tr{break-inside:avoid}"
                + "</style><p>" + ids.length + (ids.length == 1 ? " contact" : " contacts")
                + (query.search() == null ? "" : ": " + HtmlUtils.htmlEscape(query.search()))
                + "</p><table><thead><tr>");
        for (String column : columns) {
            out.write("<th>" + HtmlUtils.htmlEscape(column) + "</th>");
        }
        out.write("</tr></thead><tbody>");
        write(ids, fields -> {
            out.write("<tr>");
            for (String column : columns) {
                String value = fields.get(column);
                out.write("<td>" + (value == null ? "" : HtmlUtils.htmlEscape(value)) + "</td>");
            }
            out.write("</tr>");
        });
        out.write("</tbody></table><script src=\"/print.js\"></script></html>");
        out.flush();
    }

    private long[] ids(Query query) {
        return search.ask(index -> query.demanded(index).ids().toArray());
    }

    private static Writer begin(HttpServletResponse response, String type, String name, int contacts)
            throws IOException {
        response.setContentType(type + ";charset=UTF-8");
        response.setHeader("Content-Disposition", "attachment; filename=\"" + name + "\"");
        response.setHeader(COUNT_HEADER, Integer.toString(contacts));
        return new BufferedWriter(new OutputStreamWriter(response.getOutputStream(), StandardCharsets.UTF_8));
    }

    private void write(long[] ids, Records receiver) throws IOException, XMLStreamException {
        for (int from = 0; from < ids.length; from += AT_ONCE) {
            List<Long> some = new ArrayList<>(AT_ONCE);
            for (int i = from; i < Math.min(from + AT_ONCE, ids.length); i++) {
                some.add(ids[i]);
            }
            Map<Long, LoggedContact> contacts = log.find(some);
            for (Long id : some) {
                LoggedContact contact = contacts.get(id);
                if (contact != null) {
                    receiver.write(entities.complete(contact.contact()));
                }
            }
        }
    }
}
