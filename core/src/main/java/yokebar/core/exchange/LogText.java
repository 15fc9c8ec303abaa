package yokebar.core.exchange;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.zip.GZIPInputStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import org.jspecify.annotations.Nullable;
import yokebar.core.adif.AdiReader;
import yokebar.core.adif.AdifFields;
import yokebar.core.adif.AdifRecord;
import yokebar.core.adif.AdxReader;
import yokebar.core.adif.RecordReader;
import yokebar.core.cabrillo.CabrilloReader;

/**
 * Reads the records of a log in whatever format it comes: ADI, ADX or Cabrillo, in UTF-8, windows-1252 or UTF-16, plain, in
 * gzip or in a zip with one or more logs. What the text is is told by its first bytes, never by its name.
 */
public final class LogText implements RecordReader {
    private static final int HEAD_BYTES = 4096;
    private static final int MOST_LAYERS = 2;
    private static final int MOST_FILES = 200;

    private final long mostBytes;
    private final @Nullable ZipInputStream zip;
    private @Nullable RecordReader reader;
    private String part = "";
    private int files;
    private int index;
    private long unpacked;

    /**
     * @param mostBytes how long the text may be once unpacked
     * @throws IOException when the stream fails, or holds something else than a log
     */
    public LogText(InputStream in, long mostBytes) throws IOException {
        this.mostBytes = mostBytes;
        InputStream text = unzipped(new BufferedInputStream(in, HEAD_BYTES * 16), MOST_LAYERS);
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

    /** What was given is no log; the message says what it is instead. */
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
            reader = zip == null ? null : nextFile();
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
                if (++files > MOST_FILES) {
                    throw new NoLog(
                            "There are more than " + MOST_FILES + " files in the zip; take the logs out of it.");
                }
                part = entry.getName();
                try {
                    return readerOf(new BufferedInputStream(new Counted(zip), HEAD_BYTES * 16));
                } catch (NoLog e) {
                    String sentence = String.valueOf(e.getMessage());
                    return new Faulty(sentence);
                }
            }
        }
        return null;
    }

    private @Nullable ZipEntry entry() throws IOException {
        return zip == null ? null : zip.getNextEntry();
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
                : unzipped(new BufferedInputStream(new Counted(new GZIPInputStream(in)), HEAD_BYTES * 16), layers - 1);
    }

    private static RecordReader readerOf(InputStream text) throws IOException {
        BufferedInputStream in =
                text instanceof BufferedInputStream buffered ? buffered : new BufferedInputStream(text);
        byte[] head = head(in);
        if (head.length == 0) {
            throw new NoLog("It is empty.");
        }
        Charset wide = wide(head);
        if (wide != null) {
            return readerOf(new BufferedInputStream(new Transcoded(in, wide)));
        }
        for (byte b : head) {
            if (b == 0) {
                throw new NoLog("It is no text: there are zero bytes in it. Is it an ADI, ADX or Cabrillo file?");
            }
        }
        String start = new String(head, StandardCharsets.ISO_8859_1)
                .replaceFirst("^\u00ef\u00bb\u00bf", "")
                .stripLeading()
                .toUpperCase(Locale.ROOT);
        if (start.startsWith("<?XML") || start.startsWith("<ADX") || start.startsWith("<!DOCTYPE ADX")) {
            return new AdxReader(in);
        }
        return start.startsWith("START-OF-LOG") ? new CabrilloReader(in) : new AdiReader(in);
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

    /** A part that is no log is one record with a fault; the other parts are read. */
    private static final class Faulty implements RecordReader {
        private final String sentence;
        private boolean told;

        Faulty(String sentence) {
            this.sentence = sentence;
        }

        @Override
        public @Nullable AdifRecord next() {
            if (told) {
                return null;
            }
            told = true;
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
            int read = in.read(bytes, offset, length);
            unpacked += Math.max(0, read);
            if (unpacked > mostBytes) {
                throw new NoLog("Unpacked it is longer than " + (mostBytes >> 20)
                        + " MB; no log is. What came before was read.");
            }
            return read;
        }
    }
}
