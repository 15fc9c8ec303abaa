package yokebar.standins.postbag;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.Map;
import java.util.Random;
import javax.imageio.ImageIO;
import yokebar.standins.adif.AdifText;
import yokebar.standins.books.Books;
import yokebar.standins.world.Station;
import yokebar.standins.world.World;

/** A QSL card drawn from what it says: rings of waves behind the call, the contact in a table below. Always the same. */
final class CardPicture {
    private static final int WIDTH = 560;
    private static final int HEIGHT = 360;

    private CardPicture() {}

    static byte[] of(Books.Card card, World world) {
        System.setProperty("java.awt.headless", "true");
        Map<String, String> fields = card.fields();
        String call = fields.getOrDefault("CALL", "?");
        Random random = new Random(call.hashCode());
        float hue = random.nextFloat();
        BufferedImage image = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        Graphics2D pen = image.createGraphics();
        pen.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        pen.setColor(Color.getHSBColor(hue, 0.12f, 0.96f));
        pen.fillRect(0, 0, WIDTH, HEIGHT);
        waves(pen, random, hue);
        pen.setColor(new Color(28, 32, 36));
        pen.setFont(new Font(Font.SERIF, Font.BOLD, 64));
        pen.drawString(call, 32, 92);
        pen.setFont(new Font(Font.SANS_SERIF, Font.PLAIN, 18));
        world.station(call).map(CardPicture::line).ifPresent(line -> pen.drawString(line, 34, 124));
        table(pen, fields);
        pen.setFont(new Font(Font.SERIF, Font.ITALIC, 20));
        pen.drawString(card.remark(), 32, HEIGHT - 24);
        pen.dispose();
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "png", out);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    private static String line(Station station) {
        return station.name() + " · " + station.country() + " · " + station.locator();
    }

    private static void waves(Graphics2D pen, Random random, float hue) {
        double x = WIDTH * (0.6 + random.nextDouble() * 0.35);
        double y = HEIGHT * (0.2 + random.nextDouble() * 0.3);
        pen.setStroke(new BasicStroke(3));
        for (int ring = 1; ring <= 9; ring++) {
            pen.setColor(Color.getHSBColor(hue, 0.5f - ring * 0.04f, 0.8f));
            double radius = ring * 26.0;
            pen.draw(new Ellipse2D.Double(x - radius, y - radius, 2 * radius, 2 * radius));
        }
    }

    private static void table(Graphics2D pen, Map<String, String> fields) {
        String start = AdifText.start(fields).toString();
        String[][] cells = {
            {"To", fields.getOrDefault("STATION_CALLSIGN", "")},
            {"Date", start.substring(0, 10)},
            {"UTC", start.substring(11, 16)},
            {"Band", fields.getOrDefault("BAND", "")},
            {"Mode", fields.getOrDefault("MODE", "")},
            {"Report", fields.getOrDefault("RST_SENT", "59")},
        };
        int[] widths = {92, 122, 72, 66, 76, 68};
        int x = 32;
        pen.setStroke(new BasicStroke(1));
        for (int i = 0; i < cells.length; i++) {
            pen.setColor(Color.WHITE);
            pen.fillRect(x, 216, widths[i], 66);
            pen.setColor(new Color(28, 32, 36));
            pen.drawRect(x, 216, widths[i], 66);
            pen.setFont(new Font(Font.SANS_SERIF, Font.PLAIN, 13));
            pen.drawString(cells[i][0], x + 8, 236);
            pen.setFont(new Font(Font.MONOSPACED, Font.BOLD, 16));
            pen.drawString(cells[i][1], x + 8, 266);
            x += widths[i];
        }
    }
}
