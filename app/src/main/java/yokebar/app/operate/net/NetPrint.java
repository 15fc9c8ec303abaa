package yokebar.app.operate.net;

import com.lowagie.text.Document;
import com.lowagie.text.DocumentException;
import com.lowagie.text.Font;
import com.lowagie.text.FontFactory;
import com.lowagie.text.PageSize;
import com.lowagie.text.Paragraph;
import com.lowagie.text.Phrase;
import com.lowagie.text.Rectangle;
import com.lowagie.text.pdf.PdfPCell;
import com.lowagie.text.pdf.PdfPTable;
import com.lowagie.text.pdf.PdfWriter;
import java.io.ByteArrayOutputStream;
import java.util.List;
import yokebar.core.basics.text.WesternText;
import yokebar.core.operate.net.NetReport;

/** The report of a session to be printed: A4, one check-in a row, the heading of the table on every page. */
final class NetPrint {
    private static final float MARGIN = 40;
    private static final Font TITLE = FontFactory.getFont(FontFactory.HELVETICA_BOLD, 14);
    private static final Font TEXT = FontFactory.getFont(FontFactory.HELVETICA, 10);
    private static final Font HEADING = FontFactory.getFont(FontFactory.HELVETICA_BOLD, 10);
    private static final List<String> HEADINGS = List.of("No.", "UTC", "Call", "Remarks");
    private static final float[] WIDTHS = {6, 10, 16, 68};
    private static final float ROW_PADDING = 3;

    private NetPrint() {}

    /** @throws IllegalStateException when the document cannot be made */
    static byte[] pdf(NetReport report) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Document document = new Document(PageSize.A4, MARGIN, MARGIN, MARGIN, MARGIN);
        try {
            PdfWriter.getInstance(document, out);
            document.addTitle(report.title());
            document.open();
            document.add(paragraph(report.title(), TITLE));
            for (String line : report.head()) {
                document.add(paragraph(line, TEXT));
            }
            document.add(rows(report));
            for (String line : report.summary()) {
                document.add(paragraph(line, TEXT));
            }
            document.close();
        } catch (DocumentException e) {
            throw new IllegalStateException("the report could not be made", e);
        }
        return out.toByteArray();
    }

    private static Paragraph paragraph(String text, Font font) {
        return new Paragraph(WesternText.of(text), font);
    }

    private static PdfPTable rows(NetReport report) {
        PdfPTable table = new PdfPTable(WIDTHS);
        table.setWidthPercentage(100);
        table.setSpacingBefore(10);
        table.setSpacingAfter(10);
        HEADINGS.forEach(text -> table.addCell(cell(text, HEADING)));
        table.setHeaderRows(1);
        for (NetReport.Line line : report.lines()) {
            table.addCell(cell(String.valueOf(line.number()), TEXT));
            table.addCell(cell(line.time(), TEXT));
            table.addCell(cell(line.call(), TEXT));
            table.addCell(cell(line.remarks(), TEXT));
        }
        return table;
    }

    private static PdfPCell cell(String text, Font font) {
        PdfPCell cell = new PdfPCell(new Phrase(WesternText.of(text), font));
        cell.setBorder(Rectangle.BOTTOM);
        cell.setBorderWidth(0.5f);
        cell.setPadding(ROW_PADDING);
        return cell;
    }
}
