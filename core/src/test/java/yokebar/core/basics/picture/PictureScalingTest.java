package yokebar.core.basics.picture;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.Set;
import org.junit.jupiter.api.Test;

class PictureScalingTest {
    private static final Set<PictureFormat> FORMATS = EnumSet.of(PictureFormat.PNG, PictureFormat.JPEG);

    @Test
    void leavesAPictureThatIsSmallEnoughAsItIs() throws Exception {
        byte[] png = Drawn.file(Drawn.noise(100, 80), "png");
        PictureScaling.Encoded encoded = PictureScaling.within(png, FORMATS, png.length);
        assertThat(encoded.format()).isEqualTo(PictureFormat.PNG);
        assertThat(encoded.content()).isSameAs(png);
    }

    @Test
    void makesALargePictureSmallEnoughAndKeepsItsShape() throws Exception {
        byte[] png = Drawn.file(Drawn.noise(800, 400), "png");
        PictureScaling.Encoded encoded = PictureScaling.within(png, FORMATS, 60_000);
        assertThat(encoded.content()).hasSizeLessThanOrEqualTo(60_000);
        Picture small = Picture.read(encoded.content());
        assertThat((double) small.width() / small.height()).isBetween(1.95, 2.05);
    }

    @Test
    void turnsAKindThatTheServiceDoesNotTakeIntoOneItDoes() throws Exception {
        byte[] bmp = Drawn.file(Drawn.noise(100, 80), "bmp");
        assertThat(PictureScaling.within(bmp, FORMATS, 1_000_000).format()).isEqualTo(PictureFormat.JPEG);
    }

    @Test
    void makesThumbnailsNoLongerThanASide() throws Exception {
        Picture high = Picture.read(PictureScaling.thumbnail(Drawn.noise(100, 500), 50));
        assertThat(high.height()).isEqualTo(50);
        assertThat(high.width()).isEqualTo(10);
    }
}
