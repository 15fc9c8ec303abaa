package yokebar.links.sources.followed;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.channels.Channels;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.zip.CRC32C;
import yokebar.core.log.adif.AdiReader;
import yokebar.core.log.adif.AdifRecord;

/**
 * The whole records of an ADI file from a position on. What was read before is compared first: a file that was truncated,
 * rewritten or replaced is read from its start again. A last record without its end waits there.
 *
 * @param records what could be read, at most as many as asked for
 * @param next where to go on
 * @param anew whether the file is another than the one the position was taken in
 * @param more whether there may be more whole records behind them
 * @param waiting bytes of text behind the last whole record
 * @param foreign whether the file holds text that is not ADIF at all
 */
public record FileRecords(
        List<Entry> records, FilePosition next, boolean anew, boolean more, long waiting, boolean foreign) {

    /** Before a file of this size is taken for the same, all of it is compared; of a longer one only so much of its end. */
    private static final long COMPARED_BYTES = 64L << 20;

    private static final int PIECE_BYTES = 1 << 16;
    /** So much of a file's start is looked at to tell text from other things. */
    private static final int LOOKED_AT_BYTES = 4096;

    /**
     * A record of the file.
     *
     * @param raw its text as it stands there
     * @param line the line it starts on, counted from where reading began
     */
    public record Entry(AdifRecord record, String raw, long line) {}

    /** A file that is there and can be read, but holds no text. */
    public static final class NotText extends IOException {
        private static final long serialVersionUID = 1L;

        NotText(String message) {
            super(message);
        }
    }

    /**
     * @param max how many records at most
     * @throws IOException when the file cannot be read; {@link NotText} when it is of another kind
     */
    public static FileRecords read(Path file, FilePosition from, int max) throws IOException {
        try (FileChannel channel = open(file)) {
            return read(channel, from, max);
        }
    }

    /** Opens a file to be read, now and later: also when its name belongs to another one by then. */
    static FileChannel open(Path file) throws IOException {
        if (Files.isDirectory(file)) {
            throw new NotText("It is a folder, not a file.");
        }
        if (Files.exists(file) && !Files.isRegularFile(file)) {
            // Opening a pipe would wait for somebody to write into it.
            throw new NotText("It is a device, a pipe or a socket, not a file.");
        }
        return FileChannel.open(file, StandardOpenOption.READ);
    }

    static FileRecords read(FileChannel channel, FilePosition from, int max) throws IOException {
        long size = channel.size();
        boolean same = from.offset() <= size && checksum(channel, from.checkedFrom(), from.offset()) == from.checksum();
        long start = same ? from.offset() : 0;
        if (start == 0 && size > 0) {
            refuseOtherThanText(channel);
        }
        return read(channel, start, size, max, !same);
    }

    private static FileRecords read(FileChannel channel, long start, long size, int max, boolean anew)
            throws IOException {
        List<Entry> records = new ArrayList<>();
        channel.position(start);
        InputStream in =
                new Limited(new BufferedInputStream(Channels.newInputStream(channel), PIECE_BYTES), size - start);
        AdiReader reader = new AdiReader(in);
        long end = start;
        boolean foreign = false;
        boolean atEnd = false;
        while (records.size() < max && !atEnd) {
            AdifRecord record = reader.next();
            if (record == null || !record.ended()) {
                atEnd = true;
                foreign = record != null && record.fields().isEmpty() && start == 0 && records.isEmpty();
            } else {
                end = start + reader.offset();
                records.add(new Entry(record, reader.rawRecord(), reader.line()));
            }
        }
        return new FileRecords(
                List.copyOf(records), position(channel, end), anew, !atEnd, atEnd ? size - end : 0, foreign);
    }

    private static FilePosition position(FileChannel channel, long offset) throws IOException {
        long from = Math.max(0, offset - COMPARED_BYTES);
        return new FilePosition(offset, from, checksum(channel, from, offset));
    }

    private static long checksum(FileChannel channel, long from, long until) throws IOException {
        CRC32C sum = new CRC32C();
        ByteBuffer piece = ByteBuffer.allocate(PIECE_BYTES);
        long at = from;
        while (at < until) {
            piece.clear().limit((int) Math.min(PIECE_BYTES, until - at));
            int read = channel.read(piece, at);
            if (read < 0) {
                break;
            }
            at += read;
            sum.update(piece.flip());
        }
        return sum.getValue();
    }

    private static void refuseOtherThanText(FileChannel channel) throws IOException {
        ByteBuffer head = ByteBuffer.allocate(LOOKED_AT_BYTES);
        channel.read(head, 0);
        head.flip();
        while (head.hasRemaining()) {
            if (head.get() == 0) {
                throw new NotText("It is not text: there are zero bytes in it.");
            }
        }
    }

    /** A stream that ends where the file ended when it was looked at, though it may grow meanwhile. */
    private static final class Limited extends InputStream {
        private final InputStream in;
        private long left;

        Limited(InputStream in, long left) {
            this.in = in;
            this.left = left;
        }

        @Override
        public int read() throws IOException {
            byte[] one = new byte[1];
            return read(one, 0, 1) < 0 ? -1 : one[0] & 0xff;
        }

        @Override
        public int read(byte[] bytes, int offset, int length) throws IOException {
            if (left <= 0) {
                return -1;
            }
            int read = in.read(bytes, offset, (int) Math.min(length, left));
            left -= Math.max(read, 0);
            return read;
        }
    }
}
