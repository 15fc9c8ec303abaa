package yokebar.bench;

import com.microsoft.playwright.Page;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.Random;
import javax.imageio.ImageIO;

/** A folder full of received pictures at the start, and how quick the interface is beside it. */
public final class PictureFigures {
    private static final int PICTURES = Integer.getInteger("pictures", 500);

    private PictureFigures() {}

    public static void main(String[] args) throws Exception {
        Path folder = Files.createTempDirectory("yokebar-bench");
        Path received = Files.createDirectory(folder.resolve("received"));
        fill(received);
        try (RunningYokebar yokebar = new RunningYokebar(folder.resolve("home"))) {
            long began = System.nanoTime();
            yokebar.send("PUT", "api/pictures/settings", "{\"folder\":\"" + received + "\",\"replyFolder\":\"\"}");
            double[] slowest = {0};
            Waiting.until("the pictures", 250, () -> {
                long asked = System.nanoTime();
                long total = RunningYokebar.number(yokebar.send("GET", "api/pictures", ""), "total");
                slowest[0] = Math.max(slowest[0], (System.nanoTime() - asked) / 1e6);
                return total == PICTURES;
            });
            System.out.printf(
                    "pictures: %d in the folder taken in %.1f s (target 5 for 500); slowest page of the gallery meanwhile %.0f ms%n",
                    PICTURES, (System.nanoTime() - began) / 1e9, slowest[0]);
            scroll(yokebar);
        }
    }

    /** Goes through the whole gallery as one does who looks for something. */
    private static void scroll(RunningYokebar yokebar) {
        try (BenchBrowser browser = new BenchBrowser()) {
            Page page = browser.page();
            page.navigate(yokebar.address() + "#/pictures");
            page.locator("[role=listbox] img").first().waitFor();
            Object longest = page.evaluate(
                    """
                    async (total) => {
                      const tasks = [0];
                      new PerformanceObserver((list) => list.getEntries().forEach((task) => tasks.push(task.duration)))
                        .observe({ type: 'longtask' });
                      const gallery = document.querySelector('[role=listbox]');
                      const shown = () => gallery.querySelectorAll('img').length;
                      for (let last = -1; shown() < total || gallery.scrollTop !== last; ) {
                        last = gallery.scrollTop;
                        gallery.scrollTop += 300;
                        await new Promise(requestAnimationFrame);
                      }
                      return `longest task ${Math.max(...tasks)} ms, ${tasks.length - 1} over 50 ms (target 0), ${shown()} pictures`;
                    }
                    """,
                    PICTURES);
            System.out.println("pictures: scrolling through the gallery: " + longest);
        }
    }

    /** Pictures of the usual size, each another. */
    private static void fill(Path folder) throws IOException {
        Random random = new Random(73);
        for (int i = 0; i < PICTURES; i++) {
            BufferedImage image = new BufferedImage(320, 256, BufferedImage.TYPE_INT_RGB);
            for (int y = 0; y < 256; y++) {
                int rgb = random.nextInt(0x1000000);
                for (int x = 0; x < 320; x++) {
                    image.setRGB(x, y, random.nextInt(12) == 0 ? random.nextInt(0x1000000) : rgb);
                }
            }
            Path file = folder.resolve("rx-" + i + ".png");
            ImageIO.write(image, "png", file.toFile());
            Files.setLastModifiedTime(file, FileTime.from(Instant.now().minusSeconds(3600 + i)));
        }
    }
}
