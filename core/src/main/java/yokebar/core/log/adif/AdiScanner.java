package yokebar.core.log.adif;

import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.CharBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.Charset;
import java.nio.charset.CharsetDecoder;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import org.jspecify.annotations.Nullable;

/**
 * Splits ADI text into fields and record ends, straight from the bytes and without making objects for what nobody asks
 * for. It never fails on bad text: whatever is not a tag is a comment.
 *
 * <p>Lengths are bytes by the letter of many programs and characters by that of others. For plain ASCII both agree. When
 * a value holds other bytes and the text right behind it is not blank up to the next tag, the length is tried as a count
 * of characters; when the value swallowed a tag, it is cut in front of it.
 */
public final class AdiScanner {
    /** What {@link #next()} found. */
    public enum Token {
        FIELD,
        /** A tag whose declared length is over {@link #MAX_FIELD_BYTES}; the name and length can be asked for. */
        OVERSIZE_FIELD,
        END_OF_HEADER,
        END_OF_RECORD,
        END_OF_TEXT
    }

    /** The longest value accepted, in bytes. */
    public static final int MAX_FIELD_BYTES = 1 << 20;

    /** Kept free behind the text, so that it can be looked at eight bytes at a time up to its end. */
    private static final int SPARE_BYTES = 16;

    private static final boolean[] BOTH = {true, false};

    private static final Charset FALLBACK = Charset.forName("windows-1252");

    private final InputStream in;
    private final FieldNames names = new FieldNames();
    private final RepeatedValues values = new RepeatedValues();
    private final CharsetDecoder utf8 = StandardCharsets.UTF_8.newDecoder();
    private byte[] buffer;
    private int position;
    private int limit;
    private int recordStart;
    private boolean ended;
    /** Bytes of the text that lay before what the buffer holds. */
    private long dropped;

    private long linesCounted;
    /** Up to this place in the buffer newlines are counted. */
    private int countedTo;

    private int nameStart;
    private int nameLength;
    private long nameHead;
    private int valueStart;
    private int valueLength;
    private boolean ascii;
    private boolean cutOff;

    public AdiScanner(InputStream in) {
        this(in, 1 << 16);
    }

    AdiScanner(InputStream in, int bufferBytes) {
        this.in = in;
        this.buffer = new byte[Math.max(bufferBytes, TagShape.MAX_BYTES) + SPARE_BYTES];
    }

    /** @throws IOException only when the stream itself fails */
    public Token next() throws IOException {
        while (true) {
            if (!findTag()) {
                return Token.END_OF_TEXT;
            }
            Token token = readTag();
            if (token != null) {
                return token;
            }
            position++;
        }
    }

    /** The name of the field just found, upper case. */
    public String name() {
        return names.intern(buffer, nameStart, nameLength, nameHead);
    }

    /** The length of the value just found, in bytes. */
    public int valueBytes() {
        return valueLength;
    }

    /** The value just found; UTF-8 if it is that, else windows-1252. */
    public String value() {
        if (ascii) {
            return values.of(buffer, valueStart, valueLength);
        }
        try {
            CharBuffer chars = utf8.decode(ByteBuffer.wrap(buffer, valueStart, valueLength));
            return chars.toString();
        } catch (CharacterCodingException e) {
            return new String(buffer, valueStart, valueLength, FALLBACK);
        }
    }

    /** Whether the text ended inside a value. */
    public boolean endedInsideValue() {
        return cutOff;
    }

    /** Marks where the next record starts: raw text and line numbers are counted from here. */
    public void startRecord() {
        recordStart = position;
    }

    /** The text from the record's start up to where the scanner stands, without white space around it. */
    public String rawRecord() {
        byte[] bytes = Arrays.copyOfRange(buffer, recordStart, Math.min(position, limit));
        try {
            return utf8.decode(ByteBuffer.wrap(bytes)).toString().strip();
        } catch (CharacterCodingException e) {
            return new String(bytes, FALLBACK).strip();
        }
    }

    /** How many bytes of the text lie before the scanner. */
    public long offset() {
        return dropped + Math.min(position, limit);
    }

    /** The line, counted from 1, on which the first text of the record stands. */
    public long lineOfRecord() {
        int start = recordStart;
        while (start < limit && TagShape.isBlank(buffer[start])) {
            start++;
        }
        // Counted on from where it was counted last: a file asks for the line of every record.
        if (start > countedTo) {
            linesCounted += Bytes.newlines(buffer, countedTo, start);
            countedTo = start;
        }
        return 1 + linesCounted;
    }

    private boolean findTag() throws IOException {
        if (position + 1 < limit) {
            // Most often it stands right behind the value, or one blank behind.
            if (buffer[position] == '<') {
                return true;
            }
            if (buffer[position + 1] == '<') {
                position++;
                return true;
            }
        }
        while (true) {
            byte[] bytes = buffer;
            int end = limit;
            for (int i = position; i < end; i++) {
                if (bytes[i] == '<') {
                    position = i;
                    return true;
                }
            }
            position = end;
            if (!fill()) {
                return false;
            }
        }
    }

    /** Reads the tag at the position; null when it is none. Leaves the position behind the value. */
    private @Nullable Token readTag() throws IOException {
        if (limit - position < TagShape.MAX_BYTES) {
            ensure(TagShape.MAX_BYTES);
        }
        byte[] bytes = buffer;
        int end = Math.min(limit, position + TagShape.MAX_BYTES);
        nameStart = position + 1;
        long eight = Bytes.eight(bytes, nameStart);
        int i = nameStart + Bytes.nameBytes(eight);
        nameHead = Bytes.first(eight, i - nameStart);
        if (i == nameStart + 8) {
            i = Bytes.nameEnd(bytes, i, end);
        }
        if (i < end && bytes[i] == ' ') {
            i = endOfNameWithBlanks(i, end);
            nameHead = Bytes.first(eight, i - nameStart);
        }
        if (i >= end || bytes[i] <= ' ') {
            return null;
        }
        nameLength = i - nameStart;
        if (bytes[i] == '>') {
            Token token = endTag();
            if (token != null) {
                position = i + 1;
            }
            return token;
        }
        // Most values are shorter than ten bytes and most tags name no type.
        if (i + 2 < end && bytes[i + 2] == '>' && bytes[i + 1] >= '0' && bytes[i + 1] <= '9' && nameLength > 0) {
            return readValue(i + 3, bytes[i + 1] - '0');
        }
        return readLongTag(i, end);
    }

    /**
     * Names of user-defined fields may hold blanks.
     *
     * @return the place of the colon behind it, or the end when this is not a tag but a comment in angle brackets
     */
    private int endOfNameWithBlanks(int blank, int end) {
        byte[] bytes = buffer;
        int i = blank;
        while (i < end && bytes[i] != ':') {
            boolean control = bytes[i] >= 0 && bytes[i] < ' ';
            if (control || bytes[i] == '<' || bytes[i] == '>') {
                return end;
            }
            i++;
        }
        boolean blankAtAnEnd = blank == nameStart || i < end && bytes[i - 1] == ' ';
        return blankAtAnEnd ? end : i;
    }

    /** Reads on behind the colon of a tag, whatever its length and type. */
    private @Nullable Token readLongTag(int colon, int end) throws IOException {
        byte[] bytes = buffer;
        long length = 0;
        int digits = 0;
        int i = colon + 1;
        for (; i < end; i++) {
            int b = bytes[i];
            if (b < '0' || b > '9') {
                break;
            }
            length = length * 10 + (b - '0');
            digits++;
        }
        if (digits == 0 || digits > 12 || nameLength == 0) {
            return null;
        }
        while (i < end && bytes[i] != '>') {
            if (bytes[i] == '<') {
                return null;
            }
            i++;
        }
        if (i >= end) {
            return null;
        }
        valueLength = (int) Math.min(length, Integer.MAX_VALUE);
        if (length > MAX_FIELD_BYTES) {
            position = i + 1;
            return Token.OVERSIZE_FIELD;
        }
        return readValue(i + 1, (int) length);
    }

    private @Nullable Token endTag() {
        if (nameLength != 3 || (buffer[nameStart] | 32) != 'e' || (buffer[nameStart + 1] | 32) != 'o') {
            return null;
        }
        int last = buffer[nameStart + 2] | 32;
        return last == 'r' ? Token.END_OF_RECORD : last == 'h' ? Token.END_OF_HEADER : null;
    }

    private Token readValue(int start, int length) throws IOException {
        if (limit - start < length + 8) {
            int shift = start - position;
            int nameShift = nameStart - position;
            ensure(shift + length + 8);
            start = position + shift;
            nameStart = position + nameShift;
        }
        valueStart = start;
        valueLength = Math.min(length, limit - start);
        ascii = Bytes.ascii(buffer, start, valueLength);
        int behind = start + valueLength;
        if (!ascii || behind < limit && buffer[behind] != '<' && buffer[behind] > ' ') {
            repairLength(length);
        }
        if (valueLength < length && start + valueLength >= limit && ended) {
            // The text ends inside the value: the record is cut off, so the tag is not a field of a whole record.
            position = limit;
            cutOff = true;
            return Token.END_OF_TEXT;
        }
        position = valueStart + valueLength;
        while (valueLength > 0 && buffer[valueStart + valueLength - 1] == 0) {
            valueLength--;
        }
        return Token.FIELD;
    }

    private void repairLength(int declared) throws IOException {
        if (!ascii && !blankUpToTag(valueStart + valueLength)) {
            // Programs that count characters mostly count UTF-16 units: one outside the basic plane is two.
            for (boolean utf16 : BOTH) {
                int asCharacters = bytesOfCharacters(declared, utf16);
                if (asCharacters >= 0 && blankUpToTag(valueStart + asCharacters)) {
                    valueLength = asCharacters;
                    return;
                }
            }
        }
        int swallowed = swallowedTag();
        if (swallowed >= 0 && !blankUpToTag(valueStart + valueLength)) {
            valueLength = swallowed;
            while (valueLength > 0 && TagShape.isBlank(buffer[valueStart + valueLength - 1])) {
                valueLength--;
            }
            ascii = Bytes.ascii(buffer, valueStart, valueLength);
        }
    }

    /** How many bytes the given number of UTF-8 characters takes from the value's start, or -1 if it is not UTF-8. */
    private int bytesOfCharacters(int characters, boolean utf16) throws IOException {
        int shift = valueStart - position;
        int nameShift = nameStart - position;
        ensure(shift + characters * 4 + 8);
        valueStart = position + shift;
        nameStart = position + nameShift;
        return Bytes.ofCharacters(buffer, valueStart, limit, characters, utf16);
    }

    private boolean blankUpToTag(int from) {
        int i = from;
        while (i < limit && TagShape.isBlank(buffer[i])) {
            i++;
        }
        return i >= limit || buffer[i] == '<';
    }

    /** The offset within the value of something that reads as a whole tag, or -1. */
    private int swallowedTag() {
        for (int i = valueStart; i < valueStart + valueLength; i++) {
            if (buffer[i] == '<' && TagShape.startsAt(buffer, i, limit)) {
                return i - valueStart;
            }
        }
        return -1;
    }

    /** Makes at least this many bytes from the position available, unless the text ends before. */
    private void ensure(int bytes) throws IOException {
        while (limit - position < bytes && fill()) {
            // fill moves the position along with the text
        }
    }

    /** Reads more text, making room by dropping what lies before the record; false at the end of the text. */
    private boolean fill() throws IOException {
        if (ended) {
            return false;
        }
        int keepFrom = Math.min(recordStart, position);
        if (position - keepFrom > MAX_FIELD_BYTES * 4) {
            // A "record" of many megabytes is a file that is not ADIF; its start is not worth the memory.
            keepFrom = position;
        }
        if (keepFrom > 0) {
            if (keepFrom > countedTo) {
                linesCounted += Bytes.newlines(buffer, countedTo, keepFrom);
                countedTo = keepFrom;
            }
            countedTo -= keepFrom;
            dropped += keepFrom;
            System.arraycopy(buffer, keepFrom, buffer, 0, limit - keepFrom);
            position -= keepFrom;
            limit -= keepFrom;
            recordStart = Math.max(0, recordStart - keepFrom);
        }
        if (limit == buffer.length - SPARE_BYTES) {
            buffer = Arrays.copyOf(buffer, buffer.length * 2);
        }
        int read = in.read(buffer, limit, buffer.length - SPARE_BYTES - limit);
        if (read < 0) {
            ended = true;
            return false;
        }
        limit += read;
        return true;
    }
}
