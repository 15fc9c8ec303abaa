package yokebar.standins.picture;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import java.awt.image.BufferedImage;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import yokebar.standins.world.World;

class SlowScanProgramTest {
    @TempDir
    private Path folder;

    private SlowScanProgram program;

    @BeforeEach
    void start() throws Exception {
        program = new SlowScanProgram(new World(9), Clock.systemUTC(), 9, folder);
    }

    @AfterEach
    void stop() {
        program.close();
    }

    private static boolean whole(Path file) {
        try {
            return ImageIO.read(file.toFile()) != null;
        } catch (Exception e) {
            // Half of a picture cannot be read.
            return false;
        }
    }

    @Test
    void aReceivedPictureIsWrittenPieceByPiece() throws Exception {
        program.setLineMs(300);
        Path file = program.receive("");
        await().until(() -> Files.size(file) > 0);
        assertThat(whole(file)).isFalse();
        await().until(() -> whole(file));
        BufferedImage picture = ImageIO.read(file.toFile());
        assertThat(picture.getWidth()).isEqualTo(320);
    }

    @Test
    void aBrokenOneIsNeverFinishedAndTheNextOneIs() throws Exception {
        program.setLineMs(5);
        Path broken = program.receiveBroken();
        Path whole = program.receive("");
        await().until(() -> whole(whole));
        assertThat(whole(broken)).isFalse();
        assertThat(Files.size(broken)).isPositive();
    }

    @Test
    void itTransmitsWhatAppearsInItsFolderOnce() throws Exception {
        assertThat(program.lastTransmitted()).isEmpty();
        byte[] picture = program.ownPicture();
        Files.write(program.toTransmit().resolve(".reply.part"), picture);
        Files.write(folder.resolve("reply.png"), picture);
        Files.move(folder.resolve("reply.png"), program.toTransmit().resolve("reply.png"));
        await().until(() -> program.transmitted().equals(List.of("reply.png (800 × 620)")));
        assertThat(program.lastTransmitted()).isEqualTo(picture);
        Files.writeString(program.toTransmit().resolve("text.png"), "hello");
        await().until(() -> program.transmitted().size() == 2);
        assertThat(program.transmitted()).last().isEqualTo("text.png (not a picture)");
        assertThat(program.summary()).containsEntry("transmitted", 2);
    }
}
