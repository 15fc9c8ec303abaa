package yokebar.app.operate.contest.report;

import com.lowagie.text.Document;
import com.lowagie.text.DocumentException;
import com.lowagie.text.Font;
import com.lowagie.text.FontFactory;
import com.lowagie.text.PageSize;
import com.lowagie.text.Paragraph;
import com.lowagie.text.pdf.PdfWriter;
import java.io.ByteArrayOutputStream;
import yokebar.core.basics.text.WesternText;
import yokebar.core.operate.contest.report.ContestReport;

/** The report of a contest to be printed: A4, in letters of one width where columns stand below each other. */
public final class ReportPrint {
    private static final float MARGIN = 40;
    private static final float SECTION_GAP = 12;
    private static final Font TITLE = FontFactory.getFont(FontFactory.HELVETICA_BOLD, 14);
    private static final Font HEADING = FontFactory.getFont(FontFactory.HELVETICA_BOLD, 10);
    private static final Font TEXT = FontFactory.getFont(FontFactory.HELVETICA, 10);
    private static final Font COLUMNS = FontFactory.getFont(FontFactory.COURIER, 9);

    private ReportPrint() {}

    /** @throws IllegalStateException when the document cannot be made */
    public static byte[] pdf(ContestReport report) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Document document = new Document(PageSize.A4, MARGIN, MARGIN, MARGIN, MARGIN);
        try {
            PdfWriter.getInstance(document, out);
            document.addTitle(report.title());
            document.open();
            document.add(new Paragraph(WesternText.of(report.title()), TITLE));
            for (String line : report.head()) {
                document.add(new Paragraph(WesternText.of(line), TEXT));
            }
            for (ContestReport.Section section : report.sections()) {
                Paragraph heading = new Paragraph(WesternText.of(section.title()), HEADING);
                heading.setSpacingBefore(SECTION_GAP);
                document.add(heading);
                for (String line : section.lines()) {
                    document.add(new Paragraph(WesternText.of(line), COLUMNS));
                }
            }
            document.close();
        } catch (DocumentException e) {
            throw new IllegalStateException("the report could not be made", e);
        }
        return out.toByteArray();
    }
}
