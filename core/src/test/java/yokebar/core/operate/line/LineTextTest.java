package yokebar.core.operate.line;

import static org.junit.jupiter.api.Assertions.assertEquals;
import static org.junit.jupiter.api.Assertions.assertNotNull;
import static org.junit.jupiter.api.Assertions.assertNull;
import static org.junit.jupiter.api.Assertions.assertTrue;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.LocalTime;
import java.util.Objects;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.AlphaChars;
import net.jqwik.api.constraints.Chars;
import net.jqwik.api.constraints.NumericChars;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import yokebar.core.basics.mode.Mode;

class LineTextTest {

    /** What each word was taken for, as {@code label=value}, flagged with {@code !}, with {@code ?} and what else it could be. */
    private static String taken(String text) {
        return LineText.read(text).tokens().stream()
                .map(token -> token.label() + "=" + token.value() + (token.problem() == null ? "" : "!")
                        + (token.otherwise() == null ? "" : "?" + token.otherwise()))
                .collect(Collectors.joining(" "));
    }

    static Stream<Arguments> lines() throws IOException {
        try (InputStream in = LineTextTest.class.getResourceAsStream("contact-lines.txt")) {
            String text = new String(Objects.requireNonNull(in).readAllBytes(), StandardCharsets.UTF_8);
            return text.lines()
                    .filter(line -> !line.isEmpty() && !line.startsWith("#"))
                    .map(line -> line.split(" \\| ", -1))
                    .map(parts -> Arguments.of(parts[0], parts[1].strip()));
        }
    }

    @ParameterizedTest
    @MethodSource("lines")
    void takesWordsByTheirShapeAndPlace(String text, String tokens) {
        assertEquals(tokens, taken(text).strip());
    }

    @ParameterizedTest
    @MethodSource("lines")
    void whatElseAWordCouldBeIsReadSo(String text, String tokens) {
        for (Token token : LineText.read(text).tokens()) {
            if (token.otherwise() != null) {
                Word word = Word.of(text).stream()
                        .filter(w -> w.from() <= token.from() && w.until() >= token.until())
                        .findFirst()
                        .orElseThrow();
                String settled = text.substring(0, word.from()) + token.otherwise() + text.substring(word.until());
                Line line = LineText.read(settled);
                assertTrue(
                        line.tokens().stream().noneMatch(t -> t.from() == word.from() && t.otherwise() != null),
                        settled);
                assertTrue(line.problems().isEmpty(), settled);
            }
        }
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
    void splitIsTheTransmitFrequencyAndWhereOneListens() {
        for (String text : new String[] {"zp5qxa 14195 up5", "zp5qxa 14200 rx:14195", "zp5qxa 14195 tx:14200"}) {
            Line line = LineText.read(text);
            assertEquals(14_200_000L, line.frequencyHz(), text);
            assertEquals(14_195_000L, line.receiveHz(), text);
            assertEquals("14.195", line.fields().get("FREQ_RX"), text);
        }
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
