package yokebar.core.log.exchange;

import java.io.BufferedInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.Objects;
import java.util.regex.Pattern;
import java.util.zip.GZIPInputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipException;
import java.util.zip.ZipInputStream;
import org.jspecify.annotations.Nullable;
import yokebar.core.log.adif.AdiReader;
import yokebar.core.log.adif.AdifFields;
import yokebar.core.log.adif.AdifRecord;
import yokebar.core.log.adif.AdxReader;
import yokebar.core.log.adif.RecordReader;
import yokebar.core.log.cabrillo.CabrilloReader;

/**
 * Reads the records of a log in whatever format it comes: ADI, ADX or Cabrillo, in UTF-8, windows-1252 or UTF-16, plain, in
 * gzip or in a zip with one or more logs. What the text is is told by its first bytes, never by its name.
 */
public final class LogText implements RecordReader {
    private static final int HEAD_BYTES = 4096;
    private static final Pattern FIELD = Pattern.compile("<[A-Za-z_]+(:\\d+(:[A-Za-z])?)?>");
    private static final int MAX_LAYERS = 2;
    private static final int MAX_FILES = 200;
    private static final String BROKEN =
            "The packed file is cut short or damaged here. The part before was read; get the file"
                    + " again whole and import it once more: what is in the log already stays as it is.";

    private final long maxBytes;
    private final @Nullable ZipInputStream zip;
    private @Nullable RecordReader reader;
    private String part = "";
    private int files;
    private int index;
    private long unpacked;
    /** What is wrong with the packing; null while nothing is. */
    private @Nullable String broken;

    /**
     * @param maxBytes how long the text may be once unpacked
     * @throws IOException when the stream fails, or holds something else than a log
     */
    public LogText(InputStream in, long maxBytes) throws IOException {
        this.maxBytes = maxBytes;
        InputStream text = unzipped(new BufferedInputStream(in, HEAD_BYTES * 16), MAX_LAYERS);
        if (text instanceof ZipInputStream several) {
            zip = several;
            reader = nextFile();
            if (reader == null) {
                throw new NoLog("There is no file in the zip.");
            }
        } else {
            zip = null;
            reader = readerOf(text);
        }
    }

    /** What was given is not a log; the message says what it is instead. */
    public static final class NoLog extends IOException {
        private static final long serialVersionUID = 1L;

        NoLog(String message) {
            super(message);
        }
    }

    @Override
    public @Nullable AdifRecord next() throws IOException {
        while (reader != null) {
            AdifRecord record = reader.next();
            if (record != null) {
                return new AdifRecord(++index, record.fields(), inPart(record.fault()), record.ended());
            }
            reader = zip == null || broken != null ? null : nextFile();
        }
        if (broken != null) {
            String sentence = broken;
            broken = null;
            return new AdifRecord(++index, AdifFields.EMPTY, inPart(sentence), false);
        }
        return null;
    }

    @Override
    public String rawRecord() {
        return reader == null ? "" : reader.rawRecord();
    }

    @Override
    public long line() {
        return reader == null ? 0 : reader.line();
    }

    private @Nullable String inPart(@Nullable String fault) {
        return fault == null || part.isEmpty() ? fault : part + ": " + fault;
    }

    private @Nullable RecordReader nextFile() throws IOException {
        for (ZipEntry entry = entry(); entry != null; entry = entry()) {
            if (!entry.isDirectory()) {
                if (++files > MAX_FILES) {
                    throw new NoLog("There are more than " + MAX_FILES + " files in the zip; take the logs out of it.");
                }
                part = entry.getName();
                try {
                    return readerOf(new BufferedInputStream(new Counted(Objects.requireNonNull(zip)), HEAD_BYTES * 16));
                } catch (NoLog e) {
                    String sentence = String.valueOf(e.getMessage());
                    return new Faulty(sentence);
                }
            }
        }
        return null;
    }

    private @Nullable ZipEntry entry() throws IOException {
        try {
            return zip == null ? null : zip.getNextEntry();
        } catch (EOFException | ZipException e) {
            broken = BROKEN;
            return null;
        }
    }

    private InputStream unzipped(BufferedInputStream in, int layers) throws IOException {
        byte[] head = head(in);
        boolean gzip = head.length > 1 && (head[0] & 0xff) == 0x1f && (head[1] & 0xff) == 0x8b;
        boolean zipped = head.length > 3 && head[0] == 'P' && head[1] == 'K' && head[2] == 3 && head[3] == 4;
        if (!gzip && !zipped) {
            return in;
        }
        if (layers == 0) {
            throw new NoLog("It is packed more than twice.");
        }
        return zipped
                ? new ZipInputStream(in)
                : unzipped(new BufferedInputStream(new Counted(gunzip(in)), HEAD_BYTES * 16), layers - 1);
    }

    private static InputStream gunzip(InputStream in) throws IOException {
        try {
            return new GZIPInputStream(in);
        } catch (EOFException | ZipException e) {
            throw new NoLog("It is a gzip file that ends at once; get it again whole.");
        }
    }

    private static RecordReader readerOf(InputStream text) throws IOException {
        BufferedInputStream in =
                text instanceof BufferedInputStream buffered ? buffered : new BufferedInputStream(text);
        Charset wide = wide(head(in));
        if (wide != null) {
            return readerOf(new BufferedInputStream(new Transcoded(in, wide)), true);
        }
        return readerOf(in, false);
    }

    /** @param utf8 whether it is UTF-8 whatever it says of itself */
    private static RecordReader readerOf(BufferedInputStream in, boolean utf8) throws IOException {
        boolean padded = skipZeros(in);
        byte[] head = head(in);
        if (head.length == 0) {
            throw new NoLog(padded ? "There are only zero bytes in it." : "It is empty.");
        }
        String text = new String(head, StandardCharsets.ISO_8859_1);
        // Programs that reserve a file's room ahead leave zero bytes behind the text.
        if (text.indexOf(0) >= 0 && !FIELD.matcher(text).find()) {
            throw new NoLog("It is not text: there are zero bytes in it. Is it an ADI, ADX or Cabrillo file?");
        }
        String start =
                text.replaceFirst("^\u00ef\u00bb\u00bf", "").stripLeading().toUpperCase(Locale.ROOT);
        if (start.startsWith("<?XML") || start.startsWith("<ADX") || start.startsWith("<!DOCTYPE ADX")) {
            return utf8 ? new AdxReader(new InputStreamReader(in, StandardCharsets.UTF_8)) : new AdxReader(in);
        }
        return start.startsWith("START-OF-LOG") ? new CabrilloReader(in) : new AdiReader(in);
    }

    private static boolean skipZeros(BufferedInputStream in) throws IOException {
        boolean some = false;
        while (true) {
            in.mark(1);
            int first = in.read();
            if (first != 0) {
                in.reset();
                return some;
            }
            some = true;
        }
    }

    /** UTF-16 by its mark, or because every second byte is zero. */
    private static @Nullable Charset wide(byte[] head) {
        if (head.length < 4) {
            return null;
        }
        int first = head[0] & 0xff;
        int second = head[1] & 0xff;
        if (first == 0xff && second == 0xfe || head[1] == 0 && head[3] == 0 && head[0] != 0 && head[2] != 0) {
            return StandardCharsets.UTF_16LE;
        }
        boolean big = first == 0xfe && second == 0xff || head[0] == 0 && head[2] == 0 && head[1] != 0 && head[3] != 0;
        return big ? StandardCharsets.UTF_16BE : null;
    }

    private static byte[] head(BufferedInputStream in) throws IOException {
        in.mark(HEAD_BYTES);
        byte[] head = in.readNBytes(HEAD_BYTES);
        in.reset();
        return head;
    }

    /** A part that is not a log is one record with a fault; the other parts are read. */
    private static final class Faulty implements RecordReader {
        private final String sentence;
        private boolean reported;

        Faulty(String sentence) {
            this.sentence = sentence;
        }

        @Override
        public @Nullable AdifRecord next() {
            if (reported) {
                return null;
            }
            reported = true;
            return new AdifRecord(1, AdifFields.EMPTY, sentence, false);
        }

        @Override
        public String rawRecord() {
            return "";
        }

        @Override
        public long line() {
            return 1;
        }
    }

    /** Counts what is unpacked and stops where it grows beyond all measure. */
    private final class Counted extends InputStream {
        private final InputStream in;

        Counted(InputStream in) {
            this.in = in;
        }

        @Override
        public int read() throws IOException {
            byte[] one = new byte[1];
            return read(one, 0, 1) < 0 ? -1 : one[0] & 0xff;
        }

        @Override
        public int read(byte[] bytes, int offset, int length) throws IOException {
            int read = broken == null ? unpacked(bytes, offset, length) : -1;
            unpacked += Math.max(0, read);
            if (unpacked > maxBytes) {
                throw new NoLog("Unpacked it is longer than " + (maxBytes >> 20)
                        + " MB; no log is. What came before was read.");
            }
            return read;
        }

        /** Where the packing breaks, the text ends. */
        private int unpacked(byte[] bytes, int offset, int length) throws IOException {
            try {
                return in.read(bytes, offset, length);
            } catch (EOFException | ZipException e) {
                broken = BROKEN;
                return -1;
            }
        }
    }
}
