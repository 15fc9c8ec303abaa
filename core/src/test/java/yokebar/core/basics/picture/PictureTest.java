package yokebar.core.basics.picture;

import static java.nio.charset.StandardCharsets.UTF_8;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Arrays;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PictureTest {
    @ParameterizedTest
    @CsvSource({"png,PNG", "jpg,JPEG", "bmp,BMP"})
    void readsEachKindByWhatItIsNotByItsName(String written, PictureFormat format) throws Exception {
        Picture picture = Picture.read(Drawn.file(Drawn.noise(320, 256), written));
        assertThat(picture.format()).isEqualTo(format);
        assertThat(picture.width()).isEqualTo(320);
        assertThat(picture.height()).isEqualTo(256);
        assertThat(picture.image().getWidth()).isEqualTo(320);
    }

    @Test
    void refusesOtherKindsWithTheKindsThatAreTaken() {
        byte[] svg = "<svg xmlns='http://www.w3.org/2000/svg'><script>alert(1)</script></svg>".getBytes(UTF_8);
        for (byte[] other : new byte[][] {svg, "hello".getBytes(UTF_8), {}, Drawn.file(Drawn.noise(8, 8), "gif")}) {
            assertThatThrownBy(() -> Picture.read(other)).hasMessage("This is not a PNG, JPEG or BMP picture.");
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"png", "jpg", "bmp"})
    void refusesAPictureThatBreaksOff(String format) {
        byte[] whole = Drawn.file(Drawn.noise(64, 64), format);
        byte[] half = Arrays.copyOf(whole, whole.length / 2);
        assertThatThrownBy(() -> Picture.read(half)).hasMessage("The picture is damaged or not complete.");
    }

    @Test
    void refusesAFileThatIsTooLarge() {
        assertThatThrownBy(() -> Picture.read(new byte[20_000_001]))
                .hasMessage("The picture has 20 MB; at most 20 MB can be read.");
    }

    @Test
    void refusesMorePixelsThanFitIntoMemoryBeforeReadingAny() throws Exception {
        byte[] huge = Drawn.pngThatSays(30_000, 30_000);
        assertThatThrownBy(() -> Picture.read(huge))
                .hasMessage("The picture has 30000 × 30000 pixels; at most 60 million can be read.");
    }

    @Test
    void keepsAPictureOfManyPixelsSmallInMemory() throws Exception {
        Picture picture = Picture.read(Drawn.file(Drawn.noise(4000, 2500), "jpg"));
        assertThat(picture.width()).isEqualTo(4000);
        assertThat((long) picture.image().getWidth() * picture.image().getHeight())
                .isLessThanOrEqualTo(4_000_000);
    }

    /** Whatever a file holds, it is a picture or is refused with a sentence. */
    @Property(tries = 300)
    void damageIsNothingWorseThanARefusal(
            @ForAll @IntRange(max = 3) int format,
            @ForAll @IntRange(max = 6000) int at,
            @ForAll byte other,
            @ForAll @IntRange(max = 6000) int length) {
        byte[] file = Drawn.file(Drawn.noise(24, 24), new String[] {"png", "jpg", "bmp", "gif"}[format]);
        file[at % file.length] = other;
        byte[] cut = Arrays.copyOf(file, Math.min(file.length, Math.max(12, length)));
        try {
            assertThat(Picture.read(cut).image().getWidth()).isPositive();
        } catch (UnreadablePictureException e) {
            assertThat(e.sentence()).endsWith(".");
        }
    }
}
