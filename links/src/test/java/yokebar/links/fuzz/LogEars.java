package yokebar.links.fuzz;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.TreeSet;
import java.util.zip.GZIPOutputStream;
import yokebar.core.log.adif.AdiStream;
import yokebar.core.log.adif.AdifRecord;
import yokebar.core.log.contact.ContactAdif;
import yokebar.core.log.contact.Reading;
import yokebar.core.log.exchange.LogText;
import yokebar.links.sources.digital.LinkCodec;

/** The readers of logs and of the digital link, to be fed anything. */
final class LogEars {
    private static final long MAX_BYTES = 1 << 20;
    private static final String CONTACT =
            "<CALL:6>ZP5QXA <QSO_DATE:8>20260501 <TIME_ON:6>140700 <BAND:3>20m <MODE:2>CW <EOR>";

    private LogEars() {}

    static final List<FuzzTarget> ALL = List.of(
            new FuzzTarget(
                    "logs",
                    List.of(
                            utf8("log <ADIF_VER:5>3.1.4 <EOH>" + CONTACT),
                            utf8("<?xml version=\"1.0\"?><ADX><RECORDS><RECORD><CALL>ZP5QXA</CALL><APP PROGRAMID=\"A\""
                                    + " FIELDNAME=\"B\">x</APP></RECORD></RECORDS></ADX>"),
                            utf8(
                                    "START-OF-LOG: 3.0\nCONTEST: LAMP\nQSO: 14025 CW 2026-05-01 1407 CU9QYB 599 1 ZP5QXA 599 2\n"),
                            utf16("<EOH>" + CONTACT),
                            gzip("<EOH>" + CONTACT)),
                    () -> LogEars::whole),
            new FuzzTarget("stream", List.of(utf8(CONTACT), utf8("<NAME:4>Zoë <EOR><CALL:3>AB")), LogEars::stream),
            new FuzzTarget(
                    "link",
                    List.of(
                            utf8(
                                    "{\"link\":1,\"from\":\"a\",\"run\":\"b\",\"n\":1,\"type\":\"heartbeat\",\"name\":\"W\"}"),
                            utf8("{\"link\":1,\"from\":\"a\",\"run\":\"b\",\"type\":\"decode\",\"id\":\"1\","
                                    + "\"at\":\"2026-05-01T14:07:15Z\",\"audioHz\":1,\"text\":\"x\"}")),
                    () -> LogEars::link));

    private static String whole(byte[] bytes, int length) {
        TreeSet<String> heard = new TreeSet<>();
        try {
            LogText log = new LogText(new ByteArrayInputStream(bytes, 0, length), MAX_BYTES);
            for (AdifRecord record = log.next(); record != null; record = log.next()) {
                heard.add(sign(record));
            }
        } catch (IOException e) {
            heard.add(e.getClass().getSimpleName());
        }
        return String.join(" ", heard);
    }

    private static FuzzTarget.Ear stream() {
        AdiStream stream = new AdiStream();
        return (bytes, length) -> {
            TreeSet<String> heard = new TreeSet<>();
            stream.take(bytes, length).forEach(entry -> heard.add(sign(entry.record())));
            if (stream.overfull()) {
                stream.rest();
            }
            return String.join(" ", heard);
        };
    }

    private static String link(byte[] bytes, int length) {
        try {
            return LinkCodec.read(java.util.Arrays.copyOf(bytes, length))
                    .getClass()
                    .getSimpleName();
        } catch (LinkCodec.NoMessage e) {
            return String.valueOf(e.getMessage()).replaceAll("\".*?\"|\\d+", "").replace(' ', '_');
        }
    }

    /** How many fields, and what the contact lacks: enough to tell kinds of records apart. */
    private static String sign(AdifRecord record) {
        Reading reading = ContactAdif.read(record.fields(), null);
        String problems = reading instanceof Reading.Unreadable unreadable
                ? unreadable.problems().stream()
                        .map(p -> p.field())
                        .toList()
                        .toString()
                        .replace(" ", "")
                : "contact";
        return Math.min(record.fields().size(), 12) + (record.fault() == null ? "" : "!") + problems;
    }

    private static byte[] utf8(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }

    private static byte[] utf16(String text) {
        return ("\ufeff" + text).getBytes(StandardCharsets.UTF_16LE);
    }

    private static byte[] gzip(String text) {
        ByteArrayOutputStream packed = new ByteArrayOutputStream();
        try (GZIPOutputStream gzip = new GZIPOutputStream(packed)) {
            gzip.write(utf8(text));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return packed.toByteArray();
    }
}
