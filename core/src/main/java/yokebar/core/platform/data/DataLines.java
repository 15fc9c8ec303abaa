package yokebar.core.platform.data;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;

/** The lines of a data file that say something: blank ones and comments are left out. */
public final class DataLines {

    /**
     * One line.
     *
     * @param number counted from 1, for whoever has to mend it
     */
    public record Line(int number, String text) {

        /** Its columns, parted by bars, without the blanks around them. */
        public List<String> columns() {
            List<String> columns = new ArrayList<>();
            for (String column : text.split("\\|", -1)) {
                columns.add(column.strip());
            }
            return columns;
        }

        /** Its words, parted by blanks. */
        public String[] words() {
            return text.strip().split("\\s+");
        }
    }

    /** A line that cannot be what it should be; the message names it. */
    public static final class BadLine extends IllegalArgumentException {
        private static final long serialVersionUID = 1L;
        private static final int LONGEST_SHOWN = 160;

        public BadLine(Line line, String why) {
            super("Line " + line.number() + ": " + why + ": \""
                    + beginning(line.text().strip()) + "\".");
        }

        /** What was sent in place of a list can be one line of megabytes. */
        private static String beginning(String text) {
            return text.length() <= LONGEST_SHOWN ? text : text.substring(0, LONGEST_SHOWN) + "…";
        }
    }

    private DataLines() {}

    /** @param text a whole file */
    public static List<Line> of(String text) {
        List<Line> lines = new ArrayList<>();
        int number = 0;
        for (String line : text.split("\n", -1)) {
            number++;
            if (!line.isBlank() && !line.startsWith("#")) {
                lines.add(new Line(number, line));
            }
        }
        return lines;
    }

    /** The lines of a file that lies beside a class. */
    public static List<Line> beside(Class<?> where, String file) {
        return of(textBeside(where, file));
    }

    /** A whole file that lies beside a class. */
    public static String textBeside(Class<?> where, String file) {
        try (InputStream in = where.getResourceAsStream(file)) {
            if (in == null) {
                throw new IllegalStateException(file + " is missing from core");
            }
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
