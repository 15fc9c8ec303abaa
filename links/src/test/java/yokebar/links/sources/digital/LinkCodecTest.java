package yokebar.links.sources.digital;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.charset.StandardCharsets;
import java.time.Instant;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class LinkCodecTest {
    private static final String HEAD = "{\"link\":1,\"from\":\"wavelet-1\",\"run\":\"a7\",\"n\":12,";

    private static LinkMessage read(String text) throws LinkCodec.NoMessage {
        return LinkCodec.read(text.getBytes(StandardCharsets.UTF_8));
    }

    /** The examples of docs/protocols/digital-link.md. */
    @Test
    void everyKindIsRead() throws Exception {
        assertThat(read(HEAD + "\"type\":\"heartbeat\",\"name\":\"Wavelet\",\"version\":\"2.1\"}"))
                .isEqualTo(new LinkMessage.Heartbeat(new LinkMessage.Head("wavelet-1", "a7", 12), "Wavelet", "2.1"));
        LinkMessage.Status status = (LinkMessage.Status)
                read(HEAD + "\"type\":\"status\",\"dialHz\":14074000,\"mode\":\"ft8\",\"transmitting\":true,"
                        + "\"partner\":\"zp5qxa\",\"partnerLocator\":\"GG14\"}");
        assertThat(status.dialHz()).isEqualTo(14_074_000L);
        assertThat(status.mode()).isEqualTo("FT8");
        assertThat(status.partner()).isEqualTo("ZP5QXA");
        assertThat(status.transmitting()).isTrue();
        LinkMessage.Decode decode = (LinkMessage.Decode)
                read(HEAD + "\"type\":\"decode\",\"id\":\"88.3\",\"at\":\"2026-05-01T14:07:15Z\",\"snrDb\":-12,"
                        + "\"offsetSeconds\":0.3,\"audioHz\":1204,\"text\":\"CQ ZP5QXA GG14\",\"call\":\"ZP5QXA\","
                        + "\"locator\":\"GG14\",\"calling\":true}");
        assertThat(decode.at()).isEqualTo(Instant.parse("2026-05-01T14:07:15Z"));
        assertThat(decode.snrDb()).isEqualTo(-12);
        assertThat(decode.calling()).isTrue();
        assertThat(read(HEAD + "\"type\":\"contact\",\"id\":\"c4\",\"adif\":\"<CALL:6>ZP5QXA <EOR>\"}"))
                .isInstanceOf(LinkMessage.ContactMade.class);
        assertThat(read(HEAD + "\"type\":\"bye\"}")).isInstanceOf(LinkMessage.Bye.class);
    }

    @ParameterizedTest(name = "{0}: {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "no json | not JSON",
                "{} | not a message of the digital link",
                "{\"link\":2,\"from\":\"a\"} | not a message of the digital link",
                "{\"link\":1,\"run\":\"a\",\"type\":\"bye\"} | \"from\" is missing",
                "{\"link\":1,\"from\":\"a\",\"run\":\"a\",\"type\":\"song\"} | \"song\" is not known",
                "{\"link\":1,\"from\":\"a\",\"run\":\"a\",\"type\":\"decode\",\"id\":\"1\",\"at\":\"noon\",\"text\":\"x\"} | not a time",
                "{\"link\":1,\"from\":\"a\",\"run\":\"a\",\"type\":\"contact\"} | \"id\" is missing",
            })
    void whatIsWrongIsSaid(String text, String says) {
        assertThatThrownBy(() -> read(text))
                .isInstanceOf(LinkCodec.NoMessage.class)
                .hasMessageContaining(says.strip());
    }

    @Property(tries = 500)
    void anythingElseIsRefusedQuietly(@ForAll byte[] bytes) {
        try {
            LinkCodec.read(bytes);
        } catch (LinkCodec.NoMessage e) {
            assertThat(e.getMessage()).isNotBlank();
        }
    }

    @Test
    void whatAProgramIsToldNamesItAndTheThing() {
        assertThat(new String(LinkCodec.answer("wavelet-1", "88.3"), StandardCharsets.UTF_8))
                .isEqualTo("{\"link\":1,\"to\":\"wavelet-1\",\"type\":\"answer\",\"decode\":\"88.3\"}");
        assertThat(new String(LinkCodec.stop("wavelet-1"), StandardCharsets.UTF_8))
                .contains("\"type\":\"stop\"");
    }
}
