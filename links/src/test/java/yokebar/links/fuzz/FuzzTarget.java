package yokebar.links.fuzz;

import java.util.List;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import yokebar.core.sources.radio.RadioReport;
import yokebar.links.sources.radio.FramedCat;
import yokebar.links.sources.radio.Heard;
import yokebar.links.sources.radio.RadioDialect;
import yokebar.links.sources.radio.SemicolonCat;
import yokebar.links.sources.rotor.EasycommTarget;

/**
 * A parser to be fed anything.
 *
 * @param seeds sensible sentences to begin with
 * @param ear makes a fresh parser
 */
record FuzzTarget(String name, List<byte[]> seeds, Supplier<Ear> ear) {

    /** Takes bytes and tells in short what it made of them. */
    interface Ear {
        String hear(byte[] bytes, int length);
    }

    /** All there are. */
    static List<FuzzTarget> all() {
        return Stream.concat(DEVICES.stream(), LogEars.ALL.stream()).toList();
    }

    private static final List<FuzzTarget> DEVICES = List.of(
            new FuzzTarget(
                    "semicolon",
                    List.of(
                            ascii("FA00014074000;FB00007010000;"),
                            ascii("IF00014074000     +00000000002000000 ;"),
                            ascii("MD2;DA1;TX0;RX;SM00015;PC100;FR0;FT1;KS020;FW2400;?;E;O;"),
                            ascii("ID019;AI2;")),
                    () -> radio(new SemicolonCat())),
            new FuzzTarget(
                    "framed",
                    List.of(
                            hex("FEFEE05C0300005045 01FD"),
                            hex("FEFEE05C040501FDFEFEE05C1A060101FD"),
                            hex("FEFEE05C0F00FDFEFEE05C1C0001FDFEFEE05C140A0255FDFEFEE05C15020120FD"),
                            hex("FEFE005C000000504501FDFEFEE05CFBFDFEFEE05CFAFDFCFCFC")),
                    () -> radio(new FramedCat(0x5C, 50))),
            new FuzzTarget(
                    "easycomm",
                    List.of(
                            ascii("AZ123.4 EL45.0\n"),
                            ascii("AZ-10.0\r\nVE2 GS1 ST0\n"),
                            ascii("AZ EL UP DN OP1 IP2\n")),
                    () -> new EasycommTarget()::feed));

    private static Ear radio(RadioDialect dialect) {
        return (bytes, length) -> {
            Heard heard = new Heard();
            dialect.listen(bytes, length, heard);
            return heard.reports().stream().map(FuzzTarget::sign).collect(Collectors.joining(" "))
                    + (heard.answers() > 0 ? " answer" : " nothing");
        };
    }

    /** Enough of a report to tell kinds and corner values apart, without making every frequency something new. */
    private static String sign(RadioReport report) {
        String kind = report.getClass().getSimpleName();
        if (report instanceof RadioReport.Frequency f) {
            return kind + f.vfo() + (f.hz() == 0 ? "0" : f.hz() > 1_000_000_000 ? "high" : "");
        }
        if (report instanceof RadioReport.ModeIs m) {
            return kind + m.plain();
        }
        return kind;
    }

    static byte[] ascii(String text) {
        return text.getBytes(java.nio.charset.StandardCharsets.US_ASCII);
    }

    static byte[] hex(String text) {
        return java.util.HexFormat.of().parseHex(text.replace(" ", ""));
    }
}
