package yokebar.core.line;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotNull;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.time.LocalDate;
import java.time.LocalTime;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.AlphaChars;
import net.jqwik.api.constraints.Chars;
import net.jqwik.api.constraints.NumericChars;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import yokebar.core.mode.Mode;

class LineTextTest {

    /** What each word was taken for, as {@code label=value}. */
    private static String taken(String text) {
        return LineText.read(text).tokens().stream()
                .map(token -> token.label() + "=" + token.value() + (token.problem() == null ? "" : "!"))
                .collect(Collectors.joining(" "));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "zp5qxa 579 599 ana gg14 | call=ZP5QXA sent=579 rcvd=599 name=Ana locator=GG14",
                "gg14 zp5qxa | call=GG14 ?=zp5qxa!",
                "oz/cu9qyb/p 5nn | call=OZ/CU9QYB/P sent=599",
                "zp5qxa -12 r+03 | call=ZP5QXA sent=-12 rcvd=+03",
                "zp | call=ZP",
                "zp5 | call=ZP5",
                "zp5qxa 14250 | call=ZP5QXA frequency=14250000",
                "zp5qxa 14.2505 ssb | call=ZP5QXA frequency=14250500 mode=SSB",
                "14,025 cw | frequency=14025000 mode=CW",
                "1840 | frequency=1840000",
                "13900 | frequency=13900000!",
                "cw | mode=CW",
                "zp5qxa olivia | call=ZP5QXA name=Olivia",
                "zp5qxa ft8 | call=ZP5QXA mode=FT8",
                "zp5qxa 40m 5w | call=ZP5QXA band=40m power=5",
                "zp5qxa ana ciudad del este | call=ZP5QXA name=Ana qth=Ciudad qth=Del qth=Este",
                "zp5qxa 14:07 1412z | call=ZP5QXA began=14:07 ended=1412z",
                "zp5qxa 14:07-14:12 | call=ZP5QXA began=14:07-14:12",
                "zp5qxa 2026-11-20 14:07 | call=ZP5QXA day=2026-11-20 began=14:07",
                "zp5qxa 2026-02-30 | call=ZP5QXA day=2026-02-30!",
                "zp5qxa 25:07 | call=ZP5QXA began=25:07!",
                "zp5qxa 599 599 ; thanks, 73 ana | call=ZP5QXA sent=599 rcvd=599 comment=thanks, 73 ana",
                "zp5qxa qth:\"Ciudad del Este\" iota:sa-001 | call=ZP5QXA qth=Ciudad del Este iota=sa-001",
                "zp5qxa loc:gg99zz | call=ZP5QXA locator=gg99zz!",
                "zp5qxa via:rpt via:xyz | call=ZP5QXA via=rpt via=xyz!",
                "zp5qxa mode:nonsense band:21m | call=ZP5QXA mode=nonsense! band=21m!",
                "zp5qxa 59 59 59 | call=ZP5QXA sent=59 rcvd=59 ?=59!",
                "zp5!qxa | call=ZP5!QXA!",
                "name:ana | name=ana",
            })
    void takesWordsByTheirShape(String text, String tokens) {
        assertEquals(tokens, taken(text));
    }

    @Test
    void fieldsCarryTheirAdifNames() {
        Line line = LineText.read("zp5qxa 579 ana ciudad del este gg14 5w iota:sa-001 20m");
        assertEquals("ZP5QXA", String.valueOf(line.call()));
        assertEquals("Ana", line.fields().get("NAME"));
        assertEquals("Ciudad Del Este", line.fields().get("QTH"));
        assertEquals("579", line.fields().get("RST_SENT"));
        assertNull(line.fields().get("RST_RCVD"));
        assertEquals("5", line.fields().get("TX_PWR"));
        assertEquals("sa-001", line.fields().get("IOTA"));
        assertEquals("20m", line.fields().get("BAND"));
    }

    @Test
    void timesAndDays() {
        Line line = LineText.read("zp5qxa 2026-11-20 14:07-14:12");
        assertEquals(LocalDate.of(2026, 11, 20), line.date());
        assertEquals(LocalTime.of(14, 7), line.start());
        assertEquals(LocalTime.of(14, 12), line.end());
    }

    @ParameterizedTest
    @CsvSource({"14250,true", "usb,true", "14250 usb,true", "zp5qxa 14250,false", "ana,false", "'',false", "5w,false"})
    void aFrequencyOrModeAloneTunes(String text, boolean tunes) {
        assertEquals(tunes, LineText.read(text).tunes());
    }

    @Test
    void modesInTodaysTerms() {
        assertEquals(new Mode("SSB", "USB"), LineText.read("usb").mode());
        assertEquals(new Mode("MFSK", "FT4"), LineText.read("zp5qxa ft4").mode());
    }

    @Property
    void nothingTypedIsLost(
            @ForAll
                    @AlphaChars
                    @NumericChars
                    @Chars({' ', ':', ';', '/', '-', '.', '"', '!', 'é'})
                    @StringLength(max = 60)
                    String text) {
        Line line = LineText.read(text);
        boolean[] covered = new boolean[text.length()];
        line.tokens().forEach(token -> {
            for (int i = token.from(); i < token.until(); i++) {
                covered[i] = true;
            }
        });
        for (int i = 0; i < covered.length; i++) {
            assertTrue(covered[i] || Character.isWhitespace(text.charAt(i)), "\"" + text + "\" at " + i);
        }
    }

    @Property
    void anythingCanBeTyped(@ForAll String text) {
        assertNotNull(LineText.read(text));
    }
}
