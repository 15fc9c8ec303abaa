package yokebar.links.sources.feed;

import java.io.ByteArrayOutputStream;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;

/** What has come of a line whose end has not. Lines that are too long are cut, the rest of them thrown away. */
final class Unfinished {
    private static final int LONGEST_LINE = 1_000;

    private final ByteArrayOutputStream bytes = new ByteArrayOutputStream();
    private long lastNanos = System.nanoTime();

    /** @return whether there was room for it */
    synchronized boolean add(int c) {
        lastNanos = System.nanoTime();
        if (c == 0 || bytes.size() >= LONGEST_LINE) {
            return false;
        }
        bytes.write(c);
        return true;
    }

    /** Whether it ends with a colon, or nothing more has come for so long. */
    synchronized boolean stands(Duration time) {
        byte[] all = bytes.toByteArray();
        return all.length > 0 && (all[all.length - 1] == ':' || System.nanoTime() - lastNanos >= time.toNanos());
    }

    synchronized String take() {
        String text = text();
        bytes.reset();
        return text;
    }

    /** UTF-8 if it is that, else Latin-1. */
    synchronized String text() {
        byte[] all = bytes.toByteArray();
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(all))
                    .toString();
        } catch (CharacterCodingException e) {
            return new String(all, StandardCharsets.ISO_8859_1);
        }
    }
}
