package yokebar.core.log.index;

import java.io.DataInputStream;
import java.io.DataOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;

/**
 * The index as a file, so that the next start need not read the whole log. It may be behind the log or missing at any time: it
 * holds nothing the log does not.
 */
public final class IndexFile {
    private static final int FORMAT = 0x594B4231;
    private static final int END = 0x454E4421;

    private IndexFile() {}

    public static void write(LogIndex index, OutputStream out) throws IOException {
        DataOutputStream data = new DataOutputStream(out);
        data.writeInt(FORMAT);
        LogColumns columns = index.columns();
        int[] slots = columns.slotsById();
        data.writeInt(slots.length);
        for (int slot : slots) {
            data.writeLong(columns.slots().id(slot));
            data.writeLong(columns.slots().start(slot));
            data.writeLong(columns.frequency(slot));
        }
        data.writeInt(columns.texts().size());
        for (var column : columns.texts().entrySet()) {
            write(data, column.getKey());
            write(data, column.getValue(), slots);
        }
        data.writeInt(END);
        data.flush();
    }

    /**
     * @return the index as it was written
     * @throws IOException when it is not a whole file of this format
     */
    public static LogIndex read(InputStream in) throws IOException {
        DataInputStream data = new DataInputStream(in);
        if (data.readInt() != FORMAT) {
            throw new IOException("It is of another format.");
        }
        LogColumns columns = new LogColumns();
        int contacts = data.readInt();
        for (int slot = 0; slot < contacts; slot++) {
            long id = data.readLong();
            long start = data.readLong();
            columns.slots().take(id, start);
            columns.setFrequency(slot, data.readLong());
        }
        columns.slots().enter(0);
        int texts = data.readInt();
        for (int i = 0; i < texts; i++) {
            String name = text(data);
            read(data, columns.column(name), contacts);
        }
        if (data.readInt() != END) {
            throw new IOException("It does not end where it should.");
        }
        return new LogIndex(columns);
    }

    private static void write(DataOutputStream data, TextColumn column, int[] slots) throws IOException {
        int codes = column.codes();
        data.writeInt(codes);
        for (int code = 1; code < codes; code++) {
            write(data, String.valueOf(column.textOf(code)));
        }
        int bytes = bytesFor(codes);
        for (int slot : slots) {
            int code = column.code(slot);
            for (int shift = (bytes - 1) * Byte.SIZE; shift >= 0; shift -= Byte.SIZE) {
                data.writeByte(code >> shift);
            }
        }
    }

    private static void read(DataInputStream data, TextColumn column, int contacts) throws IOException {
        int codes = data.readInt();
        for (int code = 1; code < codes; code++) {
            column.learn(text(data));
        }
        int bytes = bytesFor(codes);
        for (int slot = 0; slot < contacts; slot++) {
            int code = 0;
            for (int i = 0; i < bytes; i++) {
                code = code << Byte.SIZE | data.readUnsignedByte();
            }
            if (code >= codes) {
                throw new IOException("It names a text it does not have.");
            }
            column.setCode(slot, code);
        }
    }

    private static int bytesFor(int codes) {
        int bytes = 1;
        while (bytes < Integer.BYTES && codes - 1 >>> bytes * Byte.SIZE != 0) {
            bytes++;
        }
        return bytes;
    }

    private static void write(DataOutputStream data, String text) throws IOException {
        byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
        data.writeInt(bytes.length);
        data.write(bytes);
    }

    private static String text(DataInputStream data) throws IOException {
        int length = data.readInt();
        byte[] bytes = data.readNBytes(length);
        if (length < 0 || bytes.length != length) {
            throw new IOException("It ends too early.");
        }
        return new String(bytes, StandardCharsets.UTF_8);
    }
}
