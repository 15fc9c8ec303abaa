package yokebar.links.platform.wire;

import java.nio.charset.StandardCharsets;
import java.util.List;

/**
 * Tells a web browser's request from a program's data. Any web page can make a browser connect to a port of this computer and
 * send it an HTTP request (RFC 9112), a WebSocket handshake or a TLS greeting (RFC 8446); nothing of that is meant for us.
 */
public final class WebRequestSign {
    /** Enough bytes to decide, whatever comes. */
    public static final int DECIDED_AFTER_BYTES = 9;

    private static final List<String> STARTS = List.of(
            "GET /",
            "PUT /",
            "POST /",
            "HEAD /",
            "PATCH /",
            "TRACE /",
            "DELETE /",
            "OPTIONS /",
            "OPTIONS *",
            "CONNECT ",
            "PRI * ",
            "GET h",
            "POST h",
            "HEAD h");

    private static final int TLS_HANDSHAKE = 0x16;

    private WebRequestSign() {}

    /** What the first bytes of a connection are. */
    public enum Verdict {
        /** A web request: close the connection and take nothing from it. */
        WEB_REQUEST,
        PROGRAM,
        /** Too few bytes yet. */
        UNDECIDED
    }

    /** @param start the first bytes of a connection */
    public static Verdict of(byte[] start, int length) {
        if (length == 0) {
            return Verdict.UNDECIDED;
        }
        if ((start[0] & 0xff) == TLS_HANDSHAKE || start[0] == 0) {
            return Verdict.WEB_REQUEST;
        }
        int count = Math.min(length, DECIDED_AFTER_BYTES);
        String text = new String(start, 0, count, StandardCharsets.ISO_8859_1);
        boolean maybe = false;
        for (String known : STARTS) {
            if (text.startsWith(known)) {
                return Verdict.WEB_REQUEST;
            }
            maybe |= known.startsWith(text);
        }
        return maybe ? Verdict.UNDECIDED : Verdict.PROGRAM;
    }
}
