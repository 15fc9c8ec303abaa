package yokebar.app.services.card;

import com.lowagie.text.Document;
import com.lowagie.text.DocumentException;
import com.lowagie.text.Image;
import com.lowagie.text.PageSize;
import com.lowagie.text.Rectangle;
import com.lowagie.text.pdf.Barcode128;
import com.lowagie.text.pdf.BaseFont;
import com.lowagie.text.pdf.PdfContentByte;
import com.lowagie.text.pdf.PdfWriter;
import java.awt.Color;
import java.io.ByteArrayOutputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import yokebar.core.basics.text.WesternText;
import yokebar.core.log.contact.Contact;

/** Prints address labels and whole cards. Lengths in millimetres, origin at the lower left. */
final class CardPrint {
    private static final float POINTS_PER_MM = 72 / 25.4f;
    private static final int CONTACTS_ON_ONE = 4;
    private static final Color INK = new Color(24, 32, 34);
    private static final Color BRASS = new Color(122, 90, 30);

    private CardPrint() {}

    /** How the sheet is divided. */
    private record Sheet(Rectangle page, int columns, int rows, float width, float height, float left, float bottom) {}

    /** A4 with three by eight labels of 70 by 37 mm, as they are sold everywhere. */
    private static final Sheet LABELS = new Sheet(PageSize.A4, 3, 8, 70, 37, 0, 0.5f);

    /** A4 across with two by two cards of 140 by 90 mm. */
    private static final Sheet CARDS = new Sheet(PageSize.A4.rotate(), 2, 2, 140, 90, 8.5f, 15);

    /** Contacts that go onto one label or card: one station, one way, one own call. */
    private record Group(List<PaperCards.Printed> contacts) {
        PaperCards.Printed first() {
            return contacts.get(0);
        }

        Contact contact() {
            return first().contact().contact();
        }

        String to() {
            String call = contact().call().text();
            return first().manager() == null ? call : call + " via " + first().manager();
        }

        String code() {
            return PaperCards.code(first().contact().id());
        }
    }

    /** @throws IllegalStateException when the document cannot be made */
    static byte[] labels(List<PaperCards.Printed> printed) {
        return print(LABELS, printed, CardPrint::label);
    }

    static byte[] cards(List<PaperCards.Printed> printed) {
        return print(CARDS, printed, CardPrint::card);
    }

    private interface Piece {
        void draw(PdfContentByte page, Group group, float x, float y) throws DocumentException;
    }

    private static byte[] print(Sheet sheet, List<PaperCards.Printed> printed, Piece piece) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        Document document = new Document(sheet.page());
        try {
            PdfWriter writer = PdfWriter.getInstance(document, out);
            document.addTitle("QSL cards");
            document.open();
            PdfContentByte page = writer.getDirectContent();
            int onSheet = sheet.columns() * sheet.rows();
            List<Group> groups = groups(printed);
            for (int i = 0; i < groups.size(); i++) {
                if (i > 0 && i % onSheet == 0) {
                    document.newPage();
                }
                int place = i % onSheet;
                float x = sheet.left() + place % sheet.columns() * sheet.width();
                int fromTop = place / sheet.columns();
                float y = sheet.bottom() + (sheet.rows() - 1 - fromTop) * sheet.height();
                piece.draw(page, groups.get(i), x, y);
            }
            document.close();
        } catch (DocumentException e) {
            throw new IllegalStateException("the sheet could not be made", e);
        }
        return out.toByteArray();
    }

    private static List<Group> groups(List<PaperCards.Printed> printed) {
        List<Group> groups = new ArrayList<>();
        for (PaperCards.Printed one : printed) {
            Group last = groups.isEmpty() ? null : groups.get(groups.size() - 1);
            if (last != null && last.contacts().size() < CONTACTS_ON_ONE && sameCard(last.first(), one)) {
                last.contacts().add(one);
            } else {
                groups.add(new Group(new ArrayList<>(List.of(one))));
            }
        }
        return groups;
    }

    private static boolean sameCard(PaperCards.Printed one, PaperCards.Printed other) {
        Contact a = one.contact().contact();
        Contact b = other.contact().contact();
        return a.call().equals(b.call())
                && a.ownCall().equals(b.ownCall())
                && one.via() == other.via()
                && Objects.equals(one.manager(), other.manager());
    }

    private static void label(PdfContentByte page, Group group, float x, float y) throws DocumentException {
        text(page, BaseFont.HELVETICA_BOLD, 13, INK, x + 5, y + 29, group.to());
        text(
                page,
                BaseFont.HELVETICA,
                7,
                INK,
                x + 5,
                y + 25.5f,
                way(group.first()) + " · from " + group.contact().ownCall());
        float line = y + 21;
        for (PaperCards.Printed one : group.contacts()) {
            text(
                    page,
                    BaseFont.COURIER,
                    7.2f,
                    INK,
                    x + 5,
                    line,
                    row(one.contact().contact()));
            line -= 3.3f;
        }
        barcode(page, group.code(), x + 5, y + 3.5f, 30, 5);
    }

    private static void card(PdfContentByte page, Group group, float x, float y) throws DocumentException {
        Contact contact = group.contact();
        page.setColorStroke(BRASS);
        page.setLineWidth(0.6f);
        page.rectangle(mm(x + 2), mm(y + 2), mm(136), mm(86));
        page.stroke();
        page.setColorFill(BRASS);
        page.rectangle(mm(x + 2), mm(y + 62), mm(136), mm(0.8f));
        page.fill();
        text(
                page,
                BaseFont.HELVETICA_BOLD,
                40,
                INK,
                x + 10,
                y + 69,
                contact.ownCall().text());
        String locator = contact.detail("MY_GRIDSQUARE");
        text(page, BaseFont.HELVETICA, 10, INK, x + 10, y + 64.5f, locator == null ? "" : "Locator " + locator);
        text(page, BaseFont.HELVETICA, 10, INK, x + 10, y + 54, "To radio");
        text(page, BaseFont.HELVETICA_BOLD, 16, INK, x + 28, y + 53.4f, group.to());
        text(page, BaseFont.HELVETICA, 10, INK, x + 10, y + 47, "Confirming our contacts, two-way:");
        text(page, BaseFont.COURIER_BOLD, 9, BRASS, x + 10, y + 41, "date       UTC   band  mode     report");
        float line = y + 36.5f;
        for (PaperCards.Printed one : group.contacts()) {
            text(page, BaseFont.COURIER, 9, INK, x + 10, line, row(one.contact().contact()));
            line -= 4.6f;
        }
        text(page, BaseFont.HELVETICA, 10, INK, x + 10, y + 7, "73, and thank you for the contact.");
        barcode(page, group.code(), x + 95, y + 6, 36, 7);
    }

    private static String way(PaperCards.Printed one) {
        return switch (one.via()) {
            case BUREAU -> "by the bureau";
            case DIRECT -> "direct";
            case MANAGER -> "to the manager";
        };
    }

    private static String row(Contact contact) {
        String start = contact.start().toString();
        String report = contact.detail("RST_SENT");
        return "%s %s %-5s %-8s %s"
                .formatted(
                        start.substring(0, 10),
                        start.substring(11, 16),
                        contact.band().adifName(),
                        contact.mode().label(),
                        report == null ? "" : report);
    }

    private static void text(
            PdfContentByte page, String font, float size, Color color, float x, float y, @Nullable String text)
            throws DocumentException {
        page.beginText();
        page.setColorFill(color);
        try {
            page.setFontAndSize(BaseFont.createFont(font, BaseFont.WINANSI, BaseFont.NOT_EMBEDDED), size);
        } catch (java.io.IOException e) {
            throw new DocumentException(e);
        }
        page.setTextMatrix(mm(x), mm(y));
        page.showText(text == null ? "" : WesternText.of(text));
        page.endText();
    }

    private static void barcode(PdfContentByte page, String code, float x, float y, float width, float height)
            throws DocumentException {
        Barcode128 barcode = new Barcode128();
        barcode.setCode(code);
        barcode.setFont(null);
        barcode.setBarHeight(mm(height));
        Image image = barcode.createImageWithBarcode(page, Color.BLACK, Color.BLACK);
        image.setAbsolutePosition(mm(x), mm(y));
        image.scaleAbsolute(mm(width), mm(height));
        page.addImage(image);
        text(page, BaseFont.HELVETICA, 5.5f, INK, x, y - 2.2f, code);
    }

    private static float mm(float millimetres) {
        return millimetres * POINTS_PER_MM;
    }
}
