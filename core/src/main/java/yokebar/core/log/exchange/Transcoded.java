package yokebar.core.log.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;

/** Text of another character set, as UTF-8; a mark at its start is left out. */
final class Transcoded extends InputStream {
    private static final int PIECE = 4096;
    private static final char MARK = '\ufeff';

    private final Reader in;
    private final char[] piece = new char[PIECE];
    private byte[] bytes = {};
    private int next;
    private boolean began;

    Transcoded(InputStream in, Charset charset) {
        this.in = new InputStreamReader(in, charset);
    }

    @Override
    public int read() throws IOException {
        return fill() ? bytes[next++] & 0xff : -1;
    }

    @Override
    public int read(byte[] into, int offset, int length) throws IOException {
        if (!fill()) {
            return -1;
        }
        int given = Math.min(length, bytes.length - next);
        System.arraycopy(bytes, next, into, offset, given);
        next += given;
        return given;
    }

    private boolean fill() throws IOException {
        while (next == bytes.length) {
            int read = in.read(piece, 0, PIECE - 1);
            if (read < 0) {
                return false;
            }
            if (Character.isHighSurrogate(piece[read - 1])) {
                int low = in.read();
                if (low >= 0) {
                    piece[read++] = (char) low;
                }
            }
            String text = new String(piece, 0, read);
            bytes = (!began && text.charAt(0) == MARK ? text.substring(1) : text).getBytes(StandardCharsets.UTF_8);
            began = true;
            next = 0;
        }
        return true;
    }
}
